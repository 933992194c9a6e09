package syntoma.standin;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import syntoma.standin.air.AsBuilt;
import syntoma.standin.air.Cell;
import syntoma.standin.air.Hands;
import syntoma.standin.air.HeardCell;
import syntoma.standin.air.Landscape;
import syntoma.standin.air.Listening;
import syntoma.standin.air.Plan;
import syntoma.standin.air.Sheets;

/**
 * The made-up world: campsites around the northern Baltic, what three carriers send there, and what the vehicle Heron's setups
 * make of it. Deterministic from its seed; the truth can be asked for.
 *
 * <p>What a setup gains is what its data sheets promise, and a deviation per band that only the world knows. The roof dome's
 * connector goes bad on 10 August.
 */
public final class World {
    public static final String ROOF_DOME = "Roof dome";
    public static final String MAST_PANEL = "Mast panel";
    public static final String WHIPS = "Window whips";
    public static final String BOOSTER = "Bittern booster";

    /** When water got into the roof dome's connector. */
    public static final OffsetDateTime CONNECTOR_FAILS = OffsetDateTime.parse("2026-08-10T04:00:00+03:00");

    private static final double CONNECTOR_LOSS_DB = 7;
    private static final double RARE_FAILURE = 0.012;

    /** How far beside the tower an antenna points where nobody sweeps, in degrees. */
    private static final double AIMED_BY_HAND_DEG = 8;

    private final Landscape landscape;
    private final Map<String, Place> places;
    private final Map<String, AsBuilt> setups;
    private final Map<String, Plan> plans;
    private final Map<String, Double> usedGb = new HashMap<>();
    private final Map<String, Double> aim = new HashMap<>();
    private final Listening listening;
    private final Random random;

    /** The world of the demo, from a seed. */
    public World(long seed) {
        this(seed, Landscape.charted(), Place.all());
    }

    /** The same vehicle in another landscape. */
    public World(long seed, Landscape landscape) {
        this(seed, landscape, Map.of());
    }

    private World(long seed, Landscape landscape, Map<String, Place> places) {
        this.landscape = landscape;
        this.places = places;
        Sheets sheets = Sheets.of(DemoRig.gear(), DemoRig.rig());
        setups = sheets.setups(new Random(seed));
        plans = sheets.plans();
        random = new Random(seed + 1);
        Random hand = new Random(seed + 2);
        (places.isEmpty() ? landscape.campsites() : places.keySet())
                .forEach(place -> aim.put(place, AIMED_BY_HAND_DEG * hand.nextGaussian()));
        listening = new Listening(random);
    }

    /** All campsites in the order of the loop. */
    public List<Place> places() {
        return List.copyOf(places.values());
    }

    public Place place(String name) {
        return places.get(name);
    }

    public boolean isPlace(String name) {
        return places.containsKey(name);
    }

    /** Whether the vehicle has a setup of a name. */
    public boolean isSetup(String name) {
        return setups.containsKey(name);
    }

    /** The setups of the vehicle. */
    public List<String> setups() {
        return List.copyOf(setups.keySet());
    }

    /** What a setup's sheets promise in dB against an antenna without gain on the roof, over the bands that it takes. */
    public double promisedDb(String setup) {
        return setups.get(setup).sheetDb().values().stream()
                .mapToDouble(Double::doubleValue)
                .average()
                .orElseThrow();
    }

    /** Whether a carrier sends anything to a place. */
    public boolean isCarrier(String place, String carrier) {
        return !landscape.at(place, carrier).isEmpty();
    }

    /**
     * Level at the device in dBm per resource element, before fading, of the strongest LTE cell that the setup takes: the truth
     * behind every reading.
     */
    public double trueLevelDbm(Hands hands, OffsetDateTime at) {
        return truest(hands, at).orElseThrow().levelDbm();
    }

    /** A cell and its true level. */
    private record Level(Cell cell, double levelDbm) {}

    private Optional<Level> truest(Hands hands, OffsetDateTime at) {
        return cells(hands).stream()
                .filter(cell -> !cell.isNr())
                .map(cell -> new Level(cell, levelDbm(cell, hands, at)))
                .max(Comparator.comparingDouble(Level::levelDbm));
    }

    /** Level of the strongest cell on the roof in dBm per resource element, before fading; of any band. */
    public double outsideLevelDbm(String place, String carrier) {
        return landscape.at(place, carrier).stream()
                .mapToDouble(Cell::outsideDbm)
                .max()
                .orElseThrow();
    }

    /** True gain in dB of one setup over another on one band at a place and time. */
    public double trueGainDb(
            String candidate, String baseline, String place, String carrier, String band, OffsetDateTime at) {
        Cell cell = landscape.at(place, carrier).stream()
                .filter(c -> c.channel().band().equals(band))
                .max(Comparator.comparingDouble(Cell::outsideDbm))
                .orElseThrow();
        return levelDbm(cell, Hands.of(place, candidate, carrier), at)
                - levelDbm(cell, Hands.of(place, baseline, carrier), at);
    }

    /** The cells that a setup takes and that its device may use. */
    private List<Cell> cells(Hands hands) {
        AsBuilt setup = setups.get(hands.setup());
        return landscape.at(hands.campsite(), hands.carrier()).stream()
                .filter(cell -> setup.passes(cell.channel().band()))
                .filter(cell -> hands.lockedBands().isEmpty()
                        || hands.lockedBands().contains(cell.channel().band()))
                .filter(cell -> !hands.isLteOnly() || !cell.isNr())
                .toList();
    }

    private double levelDbm(Cell cell, Hands hands, OffsetDateTime at) {
        AsBuilt setup = setups.get(hands.setup());
        double off = hands.headingDeg().isPresent()
                ? hands.headingDeg().getAsDouble() - cell.site().bearingDeg()
                : bearingDeg(hands) + aim.get(hands.campsite()) - cell.site().bearingDeg();
        boolean wet = hands.setup().equals(ROOF_DOME) && at.isAfter(CONNECTOR_FAILS);
        return cell.outsideDbm() + setup.trueDb(cell, off) - (wet ? CONNECTOR_LOSS_DB : 0);
    }

    /** Whereto somebody aims who knows the masts: at the one that is heard best there. */
    private double bearingDeg(Hands hands) {
        return landscape.at(hands.campsite(), hands.carrier()).stream()
                .max(Comparator.comparingDouble(Cell::outsideDbm))
                .orElseThrow()
                .site()
                .bearingDeg();
    }

    /** Measures; empty when there is no service. Call in the order of time. */
    public Optional<Air> measure(Hands hands, OffsetDateTime at) {
        AsBuilt setup = setups.get(hands.setup());
        List<Listening.Level> levels = new ArrayList<>();
        for (Cell cell : cells(hands)) {
            levels.add(new Listening.Level(cell, levelDbm(cell, hands, at)));
        }
        List<HeardCell> used = listening.hear(levels, setup, hands, at);
        return used.isEmpty()
                ? Optional.empty()
                : Optional.of(Air.sample(used, setup, limitMbps(hands.carrier(), at), random));
    }

    /** Whether a run fails for no reason that shows. */
    public boolean failsRarely() {
        return random.nextDouble() < RARE_FAILURE;
    }

    private double limitMbps(String carrier, OffsetDateTime at) {
        Plan plan = plans.get(carrier);
        return plan == null ? Double.POSITIVE_INFINITY : plan.mbps(usedGb.getOrDefault(month(carrier, plan, at), 0.0));
    }

    /** What a carrier's plan lets through while there is data left; infinite for no cap. */
    public double capMbps(String carrier) {
        return plans.containsKey(carrier) ? plans.get(carrier).capMbps() : Double.POSITIVE_INFINITY;
    }

    /** Data taken from a carrier's plan. */
    public void use(String carrier, OffsetDateTime at, double gb) {
        Plan plan = plans.get(carrier);
        if (plan != null) {
            usedGb.merge(month(carrier, plan, at), gb, Double::sum);
        }
    }

    private static String month(String carrier, Plan plan, OffsetDateTime at) {
        LocalDate began = plan.month(at);
        return carrier + "/" + began;
    }
}
