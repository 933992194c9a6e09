package syntoma.standin.air;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import syntoma.core.unit.Table;

/**
 * A mast of one carrier as a campsite hears it.
 *
 * @param number part of the identity of its cells
 * @param bearingDeg from the campsite to it, from true north
 * @param terrainDb what hills and trees take over free space at 900 MHz
 * @param hasSight whether the signal arrives on one line; else scattered from all sides, so that aiming matters little
 * @param evening how much of its cells others take between 18 and 23 h, 0 to 1
 * @param day the same by day
 * @param backhaulMbps what its line to the network carries
 */
public record Site(
        String campsite,
        String carrier,
        int number,
        double km,
        double bearingDeg,
        double terrainDb,
        boolean hasSight,
        double evening,
        double day,
        double backhaulMbps,
        List<Channel> channels) {
    /** Those of the demo's campsites. */
    public static List<Site> charted() {
        List<Site> sites = new ArrayList<>();
        for (String[] f : Table.rows(Site.class, "/syntoma/standin/sites.csv")) {
            Site site = new Site(
                    f[0],
                    f[1],
                    Integer.parseInt(f[2]),
                    Double.parseDouble(f[3]),
                    Double.parseDouble(f[4]),
                    Double.parseDouble(f[5]),
                    f[6].equals("sight"),
                    Double.parseDouble(f[7]),
                    Double.parseDouble(f[8]),
                    Double.parseDouble(f[9]),
                    Arrays.stream(f[10].split(" ")).map(Channel::in).toList());
            sites.add(site);
        }
        return sites;
    }

    /** How much of its cells others take at an hour: less at night, more in the evening. */
    double load(int hour) {
        if (hour >= 18 && hour < 23) {
            return evening;
        }
        if (hour >= 1 && hour < 6) {
            return day / 2;
        }
        return hour == 17 || hour == 23 ? (evening + day) / 2 : day;
    }
}
