package syntoma.standin;

import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/**
 * The made-up world: campsites around the northern Baltic, what three carriers send there, and what the vehicle Heron's
 * setups make of it. Deterministic from its seed; the truth can be asked for.
 *
 * <p>Slow fading is AR(1) with a standard deviation of 3 dB and a time of 10 minutes. The roof dome's connector goes bad on
 * 10 August.
 */
public final class World {
    public static final String ROOF_DOME = "Roof dome";
    public static final String MAST_PANEL = "Mast panel";
    public static final String WHIPS = "Window whips";
    public static final String BOOSTER = "Bittern booster";

    /** When water got into the roof dome's connector. */
    public static final OffsetDateTime CONNECTOR_FAILS = OffsetDateTime.parse("2026-08-10T04:00:00+03:00");

    private static final double CONNECTOR_LOSS_DB = 7;
    private static final double FADE_SD_DB = 3;
    private static final Duration FADE_TIME = Duration.ofMinutes(10);
    private static final double DONOR_FLOOR_DBM = -122;
    /** Brissa's plan holds downloads at this rate. */
    public static final double BRISSA_CAP_MBPS = 24;

    private final Map<String, Place> places = new LinkedHashMap<>();
    private final Map<String, Mast> masts = new HashMap<>();
    private final Map<String, Rigging> riggings = new LinkedHashMap<>();
    private final Map<String, Fade> fades = new HashMap<>();
    private final Random random;

    private record Fade(OffsetDateTime at, double db) {}

    /** A world from a seed. */
    public World(long seed) {
        random = new Random(seed);
        List.of(
                        new Rigging(ROOF_DOME, 1.5, 2.5, 2, false),
                        new Rigging(MAST_PANEL, 7.0, 8.5, 2, false),
                        new Rigging(WHIPS, -3.5, -4.0, 2, false),
                        new Rigging(BOOSTER, 12.0, 10.0, 1, true))
                .forEach(r -> riggings.put(r.name(), r));
        place("Saltmarsh Jetty", 63.0942, 21.6158, 4.2, 12, 6.0, 14, 9.0, 18);
        place("Birch Hollow", 63.8381, 23.1307, 2.1, 8, 3.4, 12, 3.0, 14);
        place("Sawmill Yard", 64.6832, 24.4796, 7.5, 16, 5.5, 20, 8.0, 15);
        place("Quarry Lake", 65.0123, 25.4651, 9.0, 20, 7.0, 22, 6.0, 24);
        place("Bog Boardwalk", 65.7366, 24.5637, 16, 45, 19, 43, 15, 46);
        place("Ferry Slip Four", 65.8252, 24.1445, 1.8, 10, 1.5, 9, 2.5, 12);
        place("Juniper Ridge", 65.5842, 22.1547, 8.0, 19, 40, 60, 9.0, 22);
        place("Harbour Crane", 64.7507, 20.9528, 1.2, 9, 2.0, 8, 1.6, 10);
        place("Amber Spit", 63.8258, 20.2630, 10, 18, 7.5, 21, 6.5, 19);
        place("Lighthouse Meadow", 62.6308, 17.9409, 8.5, 21, 9.5, 25, 7.0, 26);
    }

    /** A place with the distance in km and the terrain loss in dB of Tarnwave, Ostrel and Brissa. */
    private void place(String name, double lat, double lon, double... air) {
        places.put(name, new Place(name, lat, lon));
        int number = places.size();
        boolean busy = name.equals("Lighthouse Meadow") || name.equals("Quarry Lake");
        mast(
                name,
                new Mast(
                        "Tarnwave",
                        "4" + number + "-2",
                        "B20",
                        6300,
                        806,
                        10,
                        air[0],
                        29,
                        air[1],
                        busy ? 0.78 : 0.35,
                        0.22));
        mast(name, new Mast("Ostrel", "7" + number + "-1", "B3", 1300, 1815, 20, air[2], 31, air[3], 0.4, 0.25));
        mast(name, new Mast("Brissa", "9" + number + "-3", "B8", 3600, 940, 10, air[4], 29, air[5], 0.3, 0.2));
    }

    private void mast(String place, Mast mast) {
        masts.put(place + "/" + mast.carrier(), mast);
    }

    /** All campsites in the order of the loop. */
    public List<Place> places() {
        return List.copyOf(places.values());
    }

    /** Whether the vehicle has a setup of a name. */
    public boolean isSetup(String name) {
        return riggings.containsKey(name);
    }

    /** What serves a place from a carrier; null where nothing does. */
    public Mast mast(String place, String carrier) {
        return masts.get(place + "/" + carrier);
    }

    /** Level at the device in dBm per resource element, before fading: the truth behind every reading. */
    public double trueLevelDbm(String place, String carrier, String setup, OffsetDateTime at) {
        Mast mast = mast(place, carrier);
        double outside = outsideLevelDbm(place, carrier);
        Rigging rigging = riggings.get(setup);
        double level = outside + rigging.gainDb(mast.mhz());
        if (setup.equals(ROOF_DOME) && at.isAfter(CONNECTOR_FAILS)) {
            level -= CONNECTOR_LOSS_DB;
        }
        return level;
    }

    /** Level on the roof in dBm per resource element, before fading. */
    public double outsideLevelDbm(String place, String carrier) {
        Mast mast = mast(place, carrier);
        return mast.powerDbm() - mast.freeSpaceDb() - mast.terrainDb();
    }

    /** True gain in dB of one setup over another at a place and time. */
    public double trueGainDb(String candidate, String baseline, String place, String carrier, OffsetDateTime at) {
        return trueLevelDbm(place, carrier, candidate, at) - trueLevelDbm(place, carrier, baseline, at);
    }

    /** Measures; empty when there is no service. Call in the order of time. */
    public Optional<Air> measure(String place, String carrier, String setup, OffsetDateTime at) {
        Mast mast = mast(place, carrier);
        Rigging rigging = riggings.get(setup);
        double fade = fade(place + "/" + carrier, at);
        double cap = carrier.equals("Brissa") ? BRISSA_CAP_MBPS : Double.POSITIVE_INFINITY;
        Air air = Air.sample(
                mast,
                trueLevelDbm(place, carrier, setup, at),
                fade,
                mast.load(at.getHour()),
                rigging.layers(),
                cap,
                random);
        boolean donor = !rigging.wantsDonor() || outsideLevelDbm(place, carrier) + fade > DONOR_FLOOR_DBM;
        boolean rareFailure = random.nextDouble() < 0.012;
        return air.served() && donor && !rareFailure ? Optional.of(air) : Optional.empty();
    }

    private double fade(String path, OffsetDateTime at) {
        Fade last = fades.get(path);
        double kept = last == null
                ? 0
                : Math.exp(-(double) Duration.between(last.at(), at).toSeconds() / FADE_TIME.toSeconds());
        double db =
                (last == null ? 0 : last.db() * kept) + FADE_SD_DB * Math.sqrt(1 - kept * kept) * random.nextGaussian();
        fades.put(path, new Fade(at, db));
        return db;
    }
}
