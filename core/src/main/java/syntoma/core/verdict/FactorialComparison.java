package syntoma.core.verdict;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import syntoma.core.reading.Figure;
import syntoma.core.reading.Scale;
import syntoma.core.trial.Block;
import syntoma.core.trial.Blocks;
import syntoma.core.trial.Sample;
import syntoma.core.unit.Median;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * Setups that cross two factors, such as antennas and devices: what each level of a factor does over all levels of the other, and
 * whether that depends on the other. Each is a contrast within every round in which all cells were measured, on the scale of the
 * computation; its mean over the rounds is judged with Student's t, all of them as one family by Holm (Holm 1979), the intervals
 * shown are Bonferroni's.
 *
 * @param across what the columns are levels of, such as “the device”
 * @param down what the rows are levels of
 * @param setups the setup of each row and column; the first row and the first column are what the others are compared with
 */
public record FactorialComparison(
        String across, List<String> columns, String down, List<String> rows, List<List<String>> setups) {

    /**
     * What a level does.
     *
     * @param factor of which it is a level
     * @param otherLevel the level of the other factor at which; empty for all of them taken together
     * @param estimate as a ratio, or in dB
     */
    public record LevelEffect(
            String factor,
            String level,
            String against,
            Optional<String> otherLevel,
            double estimate,
            double low,
            double high,
            Verdict verdict) {}

    /**
     * What a grid says of a figure.
     *
     * @param rounds in which all cells were measured
     * @param main what each level does, over all levels of the other factor
     * @param effectsWithin what each level of the rows does in each column
     * @param isInteraction whether the one factor's effect depends on the other
     * @param level confidence of the intervals
     */
    public record FigureEffects(
            Figure metric,
            int rounds,
            List<LevelEffect> main,
            List<LevelEffect> effectsWithin,
            boolean isInteraction,
            double level,
            String sentence) {}

    /** A contrast over the cells of a round. */
    private record Contrast(
            String factor,
            String level,
            String baseLevel,
            Optional<String> otherLevel,
            ToDoubleFunction<double[][]> of) {}

    /** Judges a figure; empty under three rounds in which all cells were measured. */
    public Optional<FigureEffects> judge(Figure metric, List<Sample> samples, Optional<Plan> plan) {
        List<double[][]> cells = cells(metric, samples);
        if (cells.size() < InterimLooks.FEWEST) {
            return Optional.empty();
        }
        Spread spread = new Spread(metric.scale().leastSpread(), Optional.empty());
        List<Contrast> mains = mains();
        List<Contrast> interactions = interactions();
        List<Effect> family = new ArrayList<>();
        mains.forEach(c -> family.add(effect(c, cells, spread)));
        interactions.forEach(c -> family.add(effect(c, cells, spread)));
        double look = plan.map(p -> p.level(cells.size())).orElse(InterimLooks.SINGLE);
        double shown = look / family.size();
        List<Double> p = family.stream().map(Effect::p).toList();
        List<LevelEffect> main = new ArrayList<>();
        for (int i = 0; i < mains.size(); i++) {
            main.add(levelEffect(mains.get(i), family.get(i), metric, shown, Holm.threshold(withoutItem(p, i), look)));
        }
        boolean depends = false;
        for (int i = mains.size(); i < family.size(); i++) {
            depends |= p.get(i) < Holm.threshold(withoutItem(p, i), look);
        }
        List<LevelEffect> within = within().stream()
                .map(c -> levelEffect(c, effect(c, cells, spread), metric, shown, shown))
                .toList();
        return Optional.of(new FigureEffects(
                metric,
                cells.size(),
                main,
                within,
                depends,
                1 - shown,
                depends ? depending(metric, within) : sentence(metric, main)));
    }

    private static List<Double> withoutItem(List<Double> p, int without) {
        List<Double> others = new ArrayList<>(p);
        others.remove(without);
        return others;
    }

    private static Effect effect(Contrast contrast, List<double[][]> cells, Spread spread) {
        return spread.effect(cells.stream().mapToDouble(contrast.of).toArray());
    }

    private static LevelEffect levelEffect(Contrast c, Effect effect, Figure metric, double shown, double decisive) {
        Judge judge = new Judge(
                metric.scale(), metric.comparing().isHigherBetter(), false, false, shown, Math.max(shown, decisive));
        return new LevelEffect(
                c.factor,
                c.level,
                c.baseLevel,
                c.otherLevel,
                metric.scale().off(effect.mean().orElseThrow()),
                metric.scale().off(effect.low(shown)),
                metric.scale().off(effect.high(shown)),
                judge.of(effect));
    }

    /** What each level does over all levels of the other factor. */
    private List<Contrast> mains() {
        List<Contrast> all = new ArrayList<>();
        for (int row = 1; row < rows.size(); row++) {
            int r = row;
            all.add(new Contrast(down, rows.get(r), rows.get(0), Optional.empty(), y -> {
                double sum = 0;
                for (int c = 0; c < columns.size(); c++) {
                    sum += y[r][c] - y[0][c];
                }
                return sum / columns.size();
            }));
        }
        for (int column = 1; column < columns.size(); column++) {
            int c = column;
            all.add(new Contrast(across, columns.get(c), columns.get(0), Optional.empty(), y -> {
                double sum = 0;
                for (int r = 0; r < rows.size(); r++) {
                    sum += y[r][c] - y[r][0];
                }
                return sum / rows.size();
            }));
        }
        return all;
    }

    /** By how much the effect of a row differs from one column to the first. */
    private List<Contrast> interactions() {
        List<Contrast> all = new ArrayList<>();
        for (int row = 1; row < rows.size(); row++) {
            for (int column = 1; column < columns.size(); column++) {
                int r = row;
                int c = column;
                all.add(new Contrast(
                        down,
                        rows.get(r),
                        rows.get(0),
                        Optional.of(columns.get(c)),
                        y -> y[r][c] - y[0][c] - (y[r][0] - y[0][0])));
            }
        }
        return all;
    }

    /** What each row does in each column. */
    private List<Contrast> within() {
        List<Contrast> all = new ArrayList<>();
        for (int row = 1; row < rows.size(); row++) {
            for (int column = 0; column < columns.size(); column++) {
                int r = row;
                int c = column;
                all.add(new Contrast(
                        down, rows.get(r), rows.get(0), Optional.of(columns.get(c)), y -> y[r][c] - y[0][c]));
            }
        }
        return all;
    }

    /** The rounds in which all cells have the figure, each cell as the median of its runs. */
    private List<double[][]> cells(Figure metric, List<Sample> samples) {
        List<double[][]> whole = new ArrayList<>();
        for (Block block : Blocks.forMetric(Blocks.inOrder(samples))) {
            Map<String, OptionalDouble> medians = new HashMap<>();
            setups.forEach(row -> row.forEach(setup -> medians.put(setup, median(metric, block.of(setup)))));
            if (medians.values().stream().allMatch(OptionalDouble::isPresent)) {
                double[][] y = new double[rows.size()][columns.size()];
                for (int r = 0; r < rows.size(); r++) {
                    for (int c = 0; c < columns.size(); c++) {
                        y[r][c] = medians.get(setups.get(r).get(c)).getAsDouble();
                    }
                }
                whole.add(y);
            }
        }
        return whole;
    }

    private static OptionalDouble median(Figure metric, List<Sample> samples) {
        double[] values = samples.stream()
                .filter(Sample::counts)
                .mapToDouble(s -> metric.scale().on(s.value().getAsDouble()))
                .toArray();
        return values.length == 0 ? OptionalDouble.empty() : OptionalDouble.of(Median.of(values));
    }

    private String depending(Figure metric, List<LevelEffect> within) {
        List<String> each = within.stream()
                .map(e -> "on " + e.otherLevel().orElseThrow() + ", " + e.level() + " " + brings(metric, e))
                .toList();
        String look = within.stream()
                .filter(e -> e.verdict() == Verdict.WORSE || e.verdict() == Verdict.SLIGHTLY_WORSE)
                .findFirst()
                .filter(worse -> within.stream().anyMatch(e -> e.level().equals(worse.level()) && isBetter(e)))
                .map(worse -> " Look at the leads of " + worse.level() + " on "
                        + worse.otherLevel().orElseThrow() + ".")
                .orElse("");
        return "What " + down + " do to your " + metric.measure().phrase() + " depends on " + across + ": "
                + String.join("; ", each) + "." + look;
    }

    private static boolean isBetter(LevelEffect e) {
        return e.verdict() == Verdict.BETTER || e.verdict() == Verdict.SLIGHTLY_BETTER;
    }

    private String sentence(Figure metric, List<LevelEffect> main) {
        List<String> each = main.stream()
                .map(e -> Text.capital(e.level() + " " + brings(metric, e) + ", whichever "
                        + noun(e.factor().equals(down) ? across : down) + "."))
                .toList();
        return String.join(" ", each);
    }

    private static String noun(String factor) {
        return factor.startsWith("the ") ? factor.substring("the ".length()) : factor;
    }

    private static String brings(Figure metric, LevelEffect e) {
        String than = " " + e.against();
        return switch (e.verdict()) {
            case NO_DIFFERENCE -> "makes no difference that matters to" + than;
            case CANNOT_TELL, TOO_FEW -> "cannot be told from" + than + " yet";
            default -> "brings " + size(metric, e) + " of" + than;
        };
    }

    private static String size(Figure metric, LevelEffect e) {
        boolean ratio = metric.scale() instanceof Scale.Ratio;
        return ratio
                ? "×" + Values.round(e.estimate(), 1) + " the "
                        + metric.measure().phrase()
                : (e.estimate() < 0 ? "−" : "+") + Values.round(Math.abs(e.estimate()), 1) + " dB of the "
                        + metric.measure().phrase();
    }
}
