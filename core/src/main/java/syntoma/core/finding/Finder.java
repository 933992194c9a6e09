package syntoma.core.finding;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Attempts;
import syntoma.core.unit.Median;
import syntoma.core.verdict.Forecast;
import syntoma.core.verdict.InterimLooks;
import syntoma.core.verdict.Judge;
import syntoma.core.verdict.McNemar;
import syntoma.core.verdict.Verdict;

/** Finds what a trip says: one joint model, plain averages beside it, effects by strength, and where the two part. */
public final class Finder {
    /** Under so many stays nothing is claimed. */
    public static final int FEWEST_STAYS = 4;

    /** What one stay alone determines has no spread between stays. */
    private static final int FEWEST_FOR_AN_INTERVAL = 2;

    /** Failing more often than chance explains, at 5 %. */
    private static final double UNRELIABLE = 0.05;

    private final Trip trip;
    private final Criterion criterion;
    private final List<String> names;
    private final int baseline;
    private final List<String> held;

    /**
     * Prepares to look at a trip.
     *
     * @param names of the units, by their numbers
     * @param held the units whose runs are held by plan or network on this metric
     * @throws IllegalArgumentException when there is no such baseline
     */
    public Finder(Trip trip, Criterion criterion, List<String> names, String baseline, List<String> held) {
        this.trip = trip;
        this.criterion = criterion;
        this.names = List.copyOf(names);
        this.baseline = names.indexOf(baseline);
        this.held = List.copyOf(held);
        if (this.baseline < 0) {
            throw new IllegalArgumentException("baseline is " + baseline + "; allowed is a setup that was measured");
        }
    }

    /** What the trip says. */
    public Finding find() {
        Cells.BlockValue blocked = Cells.BlockValue.of(trip);
        Cells cells = Cells.of(trip, criterion, blocked);
        JointModel model = new JointModel(cells, names.size(), baseline);
        boolean[] unreliable = unreliable();
        double[] levels = levels(blocked);
        if (criterion.metric().filter(Figure.RSRP_DBM::equals).isPresent()) {
            levelByAll(levels, model);
        }
        Map<Strength, List<Contrast>> strata = strata(model.cells(), levels, unreliable);
        PlainMeans plain = PlainMeans.of(trip, criterion, names.size());
        int[] adjusted =
                Ranks.of(names.size(), model::isLinked, (a, b) -> criterion.isBetter(model.effect(a), model.effect(b)));
        int[] plainRanks = Ranks.of(
                names.size(), unit -> plain.runs(unit) > 0, (a, b) -> criterion.isBetter(plain.mean(a), plain.mean(b)));
        List<Finding.Unit> units = new ArrayList<>();
        for (int unit = 0; unit < names.size(); unit++) {
            Contrast effect = contrast(model, unit, unreliable[unit]);
            Map<Strength, Contrast> byStrength = new EnumMap<>(Strength.class);
            for (Map.Entry<Strength, List<Contrast>> stratum : strata.entrySet()) {
                byStrength.put(stratum.getKey(), stratum.getValue().get(unit));
            }
            units.add(new Finding.Unit(
                    names.get(unit),
                    effect,
                    plain.runs(unit),
                    plain.failed(unit),
                    plain.runs(unit) == 0 ? OptionalDouble.empty() : OptionalDouble.of(plain.mean(unit)),
                    rank(plainRanks[unit]),
                    rank(adjusted[unit]),
                    byStrength,
                    unit == baseline
                            ? "what the others are compared with"
                            : plain.runs(unit) == 0 && plain.failed(unit) > 0
                                    ? ContrastSentence.neverRan(names.get(unit), plain.failed(unit))
                                    : ContrastSentence.of(criterion, names.get(baseline), names.get(unit), effect)));
        }
        Remarks remarks = new Remarks(criterion, names, cells, model, plain);
        Cells informative = model.cells();
        int unknown = (int) IntStream.range(0, informative.blocks())
                .filter(b -> Double.isNaN(levels[informative.number(b)]))
                .count();
        return new Finding(
                criterion, names.get(baseline), model.blocks(), model.stays(), unknown, units, remarks.all());
    }

    private static OptionalInt rank(int rank) {
        return rank == 0 ? OptionalInt.empty() : OptionalInt.of(rank);
    }

    private Contrast contrast(JointModel model, int unit, boolean unreliable) {
        if (unit == baseline) {
            return Contrast.baseline(criterion.scale(), model.blocksOf(unit), model.staysOf(unit));
        }
        if (!model.isLinked(unit)) {
            return Contrast.NOT_LINKED;
        }
        int stays = model.staysOf(unit);
        double mean = model.effect(unit);
        OptionalDouble estimate = OptionalDouble.of(criterion.scale().off(mean));
        if (model.stays() < FEWEST_STAYS || stays < FEWEST_FOR_AN_INTERVAL) {
            return new Contrast(
                    model.blocksOf(unit),
                    stays,
                    estimate,
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    Verdict.TOO_FEW,
                    OptionalInt.of(Math.max(1, FEWEST_STAYS - stays)));
        }
        // figures have a resolution: intervals of width nought do not exist (docs/methods.md#9-verdicts)
        double error = Math.max(
                model.error(unit), criterion.scale().leastSpread() / Math.sqrt(Math.max(1, model.blocksOf(unit))));
        double degrees = model.degrees(unit);
        double half = InterimLooks.critical(InterimLooks.SINGLE, degrees) * error;
        Verdict verdict = stays < FEWEST_STAYS
                ? Verdict.TOO_FEW
                : Judge.single(criterion.scale(), criterion.isHigherBetter(), mean, half, isHeld(unit), unreliable);
        return new Contrast(
                model.blocksOf(unit),
                stays,
                estimate,
                OptionalDouble.of(criterion.scale().off(mean - half)),
                OptionalDouble.of(criterion.scale().off(mean + half)),
                verdict,
                verdict == Verdict.TOO_FEW
                        ? OptionalInt.of(FEWEST_STAYS - stays)
                        : verdict == Verdict.CANNOT_TELL
                                ? Forecast.stays(criterion.scale(), mean, error, stays, degrees)
                                : OptionalInt.empty());
    }

    private boolean isHeld(int unit) {
        return held.contains(names.get(unit)) && held.contains(names.get(baseline));
    }

    /** The baseline’s level in each block, in the order in which they begin. */
    private double[] levels(Cells.BlockValue blocked) {
        int[] numbers = blocked.numbers();
        int[] counts = new int[blocked.count() + 1];
        for (int i = 0; i < numbers.length; i++) {
            if (hasLevel(i, numbers[i])) {
                counts[numbers[i] + 1]++;
            }
        }
        for (int b = 0; b < blocked.count(); b++) {
            counts[b + 1] += counts[b];
        }
        double[] all = new double[counts[blocked.count()]];
        int[] next = Arrays.copyOf(counts, blocked.count());
        for (int i = 0; i < numbers.length; i++) {
            if (hasLevel(i, numbers[i])) {
                all[next[numbers[i]]++] = trip.levelDbm(i);
            }
        }
        double[] levels = new double[blocked.count()];
        for (int b = 0; b < levels.length; b++) {
            levels[b] = counts[b] == counts[b + 1]
                    ? Double.NaN
                    : Median.of(Arrays.copyOfRange(all, counts[b], counts[b + 1]));
        }
        return levels;
    }

    /**
     * Where the level is what is compared, the level of a block is the mean of all its units, each less what it has more than the
     * baseline: by the baseline’s own readings alone, a reading that happens to be low makes its block weak and its contrast large.
     */
    private static void levelByAll(double[] levels, JointModel model) {
        Cells cells = model.cells();
        for (int b = 0; b < cells.blocks(); b++) {
            if (Double.isNaN(levels[cells.number(b)])) {
                continue;
            }
            double sum = 0;
            for (int c = cells.start(b); c < cells.end(b); c++) {
                sum += cells.value(c) - model.effect(cells.unit(c));
            }
            levels[cells.number(b)] = sum / (cells.end(b) - cells.start(b));
        }
    }

    private boolean hasLevel(int i, int block) {
        return block != Attempts.NONE
                && trip.unit(i) == baseline
                && trip.hasSucceeded(i)
                && !Double.isNaN(trip.levelDbm(i));
    }

    /** The contrasts of all units by strength; one model after the other, so that one alone stands in memory. */
    private Map<Strength, List<Contrast>> strata(Cells informative, double[] levels, boolean[] unreliable) {
        int[] classes = new int[informative.blocks()];
        for (int b = 0; b < classes.length; b++) {
            boolean there = informative.find(b, baseline) >= 0;
            classes[b] = there
                    ? Strength.of(levels[informative.number(b)])
                            .map(Strength::ordinal)
                            .orElse(Attempts.NONE)
                    : Attempts.NONE;
        }
        Map<Strength, List<Contrast>> strata = new EnumMap<>(Strength.class);
        for (Strength strength : Strength.values()) {
            JointModel model =
                    new JointModel(informative.filter(b -> classes[b] == strength.ordinal()), names.size(), baseline);
            strata.put(
                    strength,
                    IntStream.range(0, names.size())
                            .mapToObj(unit -> contrast(model, unit, unreliable[unit]))
                            .toList());
        }
        return strata;
    }

    /** The units that failed where the baseline ran, more often than chance explains (exact McNemar over blocks). */
    private boolean[] unreliable() {
        boolean[] unreliable = new boolean[names.size()];
        boolean allOk = true;
        for (int i = 0; i < trip.size() && allOk; i++) {
            allOk = trip.hasSucceeded(i);
        }
        if (allOk) {
            return unreliable;
        }
        int[][] only = failedAlone();
        for (int unit = 0; unit < names.size(); unit++) {
            unreliable[unit] = unit != baseline
                    && only[unit][0] > only[unit][1]
                    && McNemar.p(only[unit][0], only[unit][1]) < UNRELIABLE;
        }
        return unreliable;
    }

    /** Per unit, in how many blocks the baseline alone ran, and in how many the unit alone did. */
    private int[][] failedAlone() {
        Cells.BlockValue attempts = Cells.BlockValue.of(trip, i -> true);
        int[][] only = new int[names.size()][2];
        boolean[] tried = new boolean[names.size()];
        boolean[] ran = new boolean[names.size()];
        for (int b = 0; b < attempts.count(); b++) {
            long[] members = attempts.byUnit(trip, b);
            for (long member : members) {
                int unit = (int) (member >> 32);
                tried[unit] = true;
                ran[unit] |= trip.hasSucceeded((int) member);
            }
            for (long member : members) {
                int unit = (int) (member >> 32);
                if (unit != baseline && tried[unit]) {
                    if (tried[baseline] && ran[baseline] != ran[unit]) {
                        only[unit][ran[baseline] ? 0 : 1]++;
                    }
                    tried[unit] = false;
                    ran[unit] = false;
                }
            }
            tried[baseline] = false;
            ran[baseline] = false;
        }
        return only;
    }
}
