package syntoma.standin;

import java.util.LinkedHashMap;
import java.util.Map;
import syntoma.core.unit.Table;

/** A made-up campsite at plausible coordinates, in degrees. */
public record Place(String name, double lat, double lon) {
    /** All by name, in the order of the loop. */
    static Map<String, Place> all() {
        Map<String, Place> places = new LinkedHashMap<>();
        for (String[] f : Table.rows(Place.class, "campsites.csv")) {
            places.put(f[0], new Place(f[0], Double.parseDouble(f[1]), Double.parseDouble(f[2])));
        }
        return places;
    }
}
