package syntoma.bench.calibration;

import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.IntStream;
import syntoma.core.advice.AdvisedOption;
import syntoma.core.advice.DayPart;
import syntoma.core.advice.Experience;
import syntoma.core.advice.Option;
import syntoma.core.advice.Outlook;
import syntoma.core.advice.PastMeasurement;
import syntoma.core.advice.StayContext;
import syntoma.core.need.BuiltInNeeds;
import syntoma.core.need.Need;
import syntoma.standin.Air;
import syntoma.standin.World;
import syntoma.standin.air.Hands;
import syntoma.standin.air.Landscape;

/**
 * One traveller's season in a landscape that is drawn by lot: at each stay a phone is looked at, advice is asked, followed and
 * logged, and what every option would have brought is known to the world. What is logged is all that the next advice has.
 */
final class Season {
    private static final List<String> CARRIERS = List.of("Tarnwave", "Ostrel", "Brissa");
    private static final List<Need> NEEDS = BuiltInNeeds.all().stream()
            .filter(n -> n.upMbps().isPresent() || n.downMbps().isPresent())
            .toList();

    /** How far apart two phones are that are beside each other. */
    private static final double PHONE_SD_DB = 3;

    private static final double NO_SERVICE_DBM = -124;

    /** At a return to a campsite one stands elsewhere on it; so often one returns. */
    private static final double RETURNS = 0.3;

    /** Runs from which the truth of an option is taken. */
    private static final int TRUTH_RUNS = 15;

    private final World world;
    private final Random random;
    private final List<String> campsites;
    private final List<Option> options = new ArrayList<>();
    private final List<PastMeasurement> log = new ArrayList<>();
    private final Map<String, double[]> plain = new HashMap<>();
    private final List<SeasonOutcome> told = new ArrayList<>();
    private OffsetDateTime now = OffsetDateTime.parse("2026-05-01T16:00:00+03:00");
    private Optional<Experience.Scatter> scatter = Optional.empty();
    private long order;

    /**
     * One advice and what came of it.
     *
     * @param stays how many were over before
     * @param stated the chance of each option
     * @param came whether one run of each met the need
     * @param regret what the first choice fell short of the best one, as a share of what the need asks
     * @param plainRegret the same of the option whose plain average was best
     */
    record SeasonOutcome(
            int stays, boolean measured, double[] stated, boolean[] came, double regret, double plainRegret) {}

    private Season(long seed, int places) {
        random = new Random(seed);
        campsites = IntStream.range(0, places).mapToObj(i -> "Camp " + i).toList();
        world = new World(seed, Landscape.drawn(campsites, CARRIERS, seed + 7));
        for (String setup : world.setups()) {
            for (String carrier : CARRIERS) {
                double cap = world.capMbps(carrier);
                options.add(new Option(
                        setup,
                        carrier,
                        OptionalDouble.of(world.promisedDb(setup)),
                        0,
                        Double.isInfinite(cap) ? OptionalDouble.empty() : OptionalDouble.of(cap),
                        OptionalDouble.empty()));
            }
        }
    }

    /** What was told in a season of so many stays. */
    static List<SeasonOutcome> of(long seed, int stays) {
        Season season = new Season(seed, stays);
        for (int stay = 0; stay < stays; stay++) {
            season.stay(stay);
        }
        return season.told;
    }

    private void stay(int stay) {
        boolean back = stay > 3 && random.nextDouble() < RETURNS;
        int campsite = back ? random.nextInt(stay) : stay;
        String place = campsites.get(campsite);
        now = now.plusDays(2).withHour(14 + random.nextInt(7));
        for (String carrier : CARRIERS) {
            boolean there = world.isCarrier(place, carrier);
            double level = there
                    ? world.outsideLevelDbm(place, carrier) + PHONE_SD_DB * random.nextGaussian()
                    : NO_SERVICE_DBM;
            log.add(PastMeasurement.phone(
                    false, carrier, campsite, stay, order++, part(), Math.max(NO_SERVICE_DBM, level)));
        }
        Need need = NEEDS.get(random.nextInt(NEEDS.size()));
        Option first = advise(stay, campsite, place, need, false);
        run(first, campsite, place, stay);
        now = now.plusMinutes(20);
        run(options.get(random.nextInt(options.size())), campsite, place, stay);
        now = now.plusHours(15);
        run(first, campsite, place, stay);
        run(options.get(random.nextInt(options.size())), campsite, place, stay);
        now = now.plusHours(6);
        Option second = advise(stay, campsite, place, NEEDS.get(random.nextInt(NEEDS.size())), true);
        run(second, campsite, place, stay);
    }

    private DayPart part() {
        return DayPart.of(now.getHour());
    }

    private Option advise(int stay, int campsite, String place, Need need, boolean measured) {
        Experience experience = Experience.of(log, options, scatter);
        scatter = Optional.of(experience.scatter());
        Outlook.RunRequirement asked = Outlook.RunRequirement.of(need);
        List<Outlook> outlooks = experience.outlooks(options, new StayContext(campsite, stay, part()));
        Option first = AdvisedOption.rank(IntStream.range(0, options.size())
                        .mapToObj(i -> AdvisedOption.of(
                                options.get(i), outlooks.get(i), asked, experience.runs(options.get(i))))
                        .toList())
                .get(0)
                .option();
        double[] stated = outlooks.stream().mapToDouble(o -> o.chance(asked)).toArray();
        boolean[] came = new boolean[options.size()];
        double[] worth = new double[options.size()];
        for (int i = 0; i < options.size(); i++) {
            Option option = options.get(i);
            came[i] =
                    measure(option, place, now).filter(air -> meets(air, need)).isPresent();
        }
        for (int k = 0; k < TRUTH_RUNS; k++) {
            for (int i = 0; i < options.size(); i++) {
                worth[i] += measure(options.get(i), place, now.plusMinutes(5L * k))
                                .map(air -> worth(air, need))
                                .orElse(0.0)
                        / TRUTH_RUNS;
            }
        }
        double best = java.util.Arrays.stream(worth).max().orElseThrow();
        // the world goes on in the order of time
        now = now.plusMinutes(5L * TRUTH_RUNS);
        told.add(new SeasonOutcome(
                stay, measured, stated, came, best - worth[options.indexOf(first)], best - worth[plainChoice(need)]));
        return first;
    }

    private Optional<Air> measure(Option option, String place, OffsetDateTime at) {
        if (!world.isCarrier(place, option.carrier())) {
            return Optional.empty();
        }
        Optional<Air> air = world.measure(Hands.of(place, option.setup(), option.carrier()), at);
        return world.failsRarely() ? Optional.empty() : air;
    }

    private static boolean meets(Air air, Need need) {
        return need.downMbps().orElse(0) <= air.downMbps()
                && need.upMbps().orElse(0) <= air.upMbps()
                && need.loadedMs().orElse(1e9) >= Math.max(air.downLoadedMs(), air.upLoadedMs())
                && need.lossPct().orElse(100) >= air.lossPct();
    }

    /** How much of what the need asks a run brings. */
    private static double worth(Air air, Need need) {
        double down = need.downMbps().isPresent()
                ? Math.min(1, air.downMbps() / need.downMbps().getAsDouble())
                : 1;
        double up = need.upMbps().isPresent()
                ? Math.min(1, air.upMbps() / need.upMbps().getAsDouble())
                : 1;
        return Math.min(down, up);
    }

    /** The option whose runs were fastest on average, wherever they were made; the first where there are none. */
    private int plainChoice(Need need) {
        int figure = need.upMbps().isPresent() ? 1 : 0;
        int best = 0;
        double most = -1;
        for (int i = 0; i < options.size(); i++) {
            double[] sums = plain.get(key(options.get(i)));
            if (sums != null && sums[figure] / sums[2] > most) {
                most = sums[figure] / sums[2];
                best = i;
            }
        }
        return best;
    }

    private static String key(Option option) {
        return option.setup() + "/" + option.carrier();
    }

    private void run(Option option, int campsite, String place, int stay) {
        Optional<Air> made = measure(option, place, now);
        made.ifPresent(air -> {
            double[] sums = plain.computeIfAbsent(key(option), k -> new double[3]);
            sums[0] += air.downMbps();
            sums[1] += air.upMbps();
            sums[2]++;
        });
        log.add(new PastMeasurement(
                option.setup(),
                option.carrier(),
                campsite,
                stay,
                order++,
                part(),
                made.isPresent(),
                false,
                of(made.map(a -> a.primary().rsrpDbm())),
                of(made.map(a -> a.primary().sinrDb())),
                of(made.map(Air::downMbps)),
                of(made.map(Air::upMbps)),
                of(made.map(a -> Math.max(a.downLoadedMs(), a.upLoadedMs()))),
                of(made.map(Air::lossPct))));
    }

    private static OptionalDouble of(Optional<Double> value) {
        return value.isPresent() ? OptionalDouble.of(value.get()) : OptionalDouble.empty();
    }
}
