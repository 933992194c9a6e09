package syntoma.standin;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import net.sf.geographiclib.Geodesic;
import net.sf.geographiclib.GeodesicData;
import syntoma.standin.air.Site;

/** The masts that Heron's crew knows: most from a list, one that they found by turning the panel at two places. */
public final class DemoMasts {
    private static final double M_PER_KM = 1_000;

    /** Those of the list, by the number of their site. */
    private static final List<Integer> KNOWN = List.of(41, 46, 50, 53, 76, 78);

    /** The one that was found, and what holds it in 95 % of cases: its half-axes in metres, and where the longer points. */
    private static final int FOUND = 55;

    private static final String ABOUT = "1600,450,318";

    private DemoMasts() {}

    /** The masts as a list that Syntoma takes in. */
    public static String csv() {
        Map<String, Place> places = Place.all();
        StringBuilder csv = new StringBuilder("name,carrier,cell_id,lat,lon,estimated,long_m,short_m,long_deg\n");
        for (Site site : Site.charted()) {
            boolean found = site.number() == FOUND;
            if (found || KNOWN.contains(site.number())) {
                Place from = places.get(site.campsite());
                GeodesicData at =
                        Geodesic.WGS84.Direct(from.lat(), from.lon(), site.bearingDeg(), site.km() * M_PER_KM);
                csv.append(String.format(
                        Locale.ROOT,
                        "%s %s %d,%s,,%.5f,%.5f,%s,%s%n",
                        found ? "Found by aiming:" : "Tower of",
                        site.carrier(),
                        site.number(),
                        site.carrier(),
                        at.lat2,
                        at.lon2,
                        found,
                        found ? ABOUT : ",,"));
            }
        }
        return csv.toString();
    }
}
