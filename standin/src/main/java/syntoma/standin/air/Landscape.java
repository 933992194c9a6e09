package syntoma.standin.air;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/** Which masts each campsite hears: those of the demo, or others that are drawn by lot. */
public final class Landscape {
    private static final double NEAREST_KM = 1.5;
    private static final double FARTHEST_KM = 14;
    private static final double LEAST_TERRAIN_DB = 4;
    private static final double MOST_TERRAIN_DB = 40;
    private static final double IN_SIGHT = 0.5;
    private static final List<String> LOW = List.of("B20", "B8");
    private static final List<String> FURTHER = List.of("B3", "B1", "B7", "n78");

    /** At so many campsites in a hundred a carrier has no mast at all. */
    private static final double DEAD = 0.04;

    private final Map<String, List<Site>> byCampsite = new LinkedHashMap<>();

    private Landscape(List<Site> sites) {
        sites.forEach(site -> byCampsite
                .computeIfAbsent(site.campsite(), name -> new ArrayList<>())
                .add(site));
    }

    /** That of the demo. */
    public static Landscape charted() {
        return new Landscape(Site.charted());
    }

    /**
     * One that is drawn by lot: each carrier's masts nearer or farther, in sight or among trees, more or less busy.
     *
     * @param campsites their names
     */
    public static Landscape drawn(List<String> campsites, List<String> carriers, long seed) {
        Random random = new Random(seed);
        List<Site> sites = new ArrayList<>();
        for (String campsite : campsites) {
            // a place in a valley is weak on all carriers
            double valley = between(0, 0.5, random);
            for (String carrier : carriers) {
                if (random.nextDouble() >= DEAD) {
                    sites.add(site(campsite, carrier, sites.size() + 1, valley, random));
                }
            }
        }
        return new Landscape(sites);
    }

    private static Site site(String campsite, String carrier, int number, double valley, Random random) {
        double day = between(0.1, 0.4, random);
        double terrain = Math.min(1, valley + between(0, 0.5, random));
        List<Channel> channels = new ArrayList<>();
        channels.add(Channel.in(LOW.get(random.nextInt(LOW.size()))));
        FURTHER.stream().filter(band -> random.nextDouble() < 0.45).forEach(band -> channels.add(Channel.in(band)));
        return new Site(
                campsite,
                carrier,
                number,
                between(NEAREST_KM, FARTHEST_KM, random),
                between(0, 360, random),
                LEAST_TERRAIN_DB + terrain * (MOST_TERRAIN_DB - LEAST_TERRAIN_DB),
                random.nextDouble() < IN_SIGHT,
                Math.min(0.9, day + between(0, 0.5, random)),
                day,
                between(40, 300, random),
                List.copyOf(channels));
    }

    private static double between(double low, double high, Random random) {
        return low + (high - low) * random.nextDouble();
    }

    /** The cells of a carrier that can be heard at a campsite; none where there are none. */
    public List<Cell> at(String campsite, String carrier) {
        return byCampsite.getOrDefault(campsite, List.of()).stream()
                .filter(site -> site.carrier().equals(carrier))
                .flatMap(site -> site.channels().stream().map(channel -> new Cell(site, channel)))
                .toList();
    }

    public List<String> campsites() {
        return List.copyOf(byCampsite.keySet());
    }
}
