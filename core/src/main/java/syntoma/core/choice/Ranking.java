package syntoma.core.choice;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.IntStream;
import syntoma.core.unit.Values;

/**
 * Options side by side: each side is scaled from the worst (0) to the best (1) among them and weighted; what is not known
 * counts as the worst; one that lacks what cannot be done without stands last. Beside the ranking stand the cheapest that
 * meets the need, the strongest, and what the next units of money would buy.
 *
 * @param scores weighted mean per option, 0 to 1, in the order of the options
 * @param order numbers of the options, the best first
 */
public record Ranking(List<Option> options, List<Double> scores, List<Integer> order, String flip) {
    /** So much more money is looked at beyond the cheapest. */
    public static final double NEXT_UNITS = 50;

    private static final String[] SIDES = {"gain", "bands", "streams", "price", "energy"};
    private static final double STEP = 0.05;

    /** Ranks two to six options. */
    public static Ranking of(List<Option> options, Weights weights) {
        Values.within("number of options", options.size(), 1, 6, "");
        double[][] sides = sides(options);
        double[] w = weights.asArray();
        double[] scores = scores(sides, w);
        List<Integer> order = order(options, scores);
        return new Ranking(
                List.copyOf(options), Arrays.stream(scores).boxed().toList(), order, flip(options, sides, w, order));
    }

    private static double[][] sides(List<Option> options) {
        List<Function<Option, OptionalDouble>> figures = List.of(
                Option::meanGainDb,
                o -> OptionalDouble.of(o.bandsWorking()),
                o -> OptionalDouble.of(o.streams()),
                o -> negative(o.price()),
                o -> negative(o.whPerDay()));
        double[][] sides = new double[options.size()][SIDES.length];
        for (int k = 0; k < SIDES.length; k++) {
            Function<Option, OptionalDouble> figure = figures.get(k);
            double[] known = options.stream()
                    .map(figure)
                    .filter(OptionalDouble::isPresent)
                    .mapToDouble(OptionalDouble::getAsDouble)
                    .toArray();
            double low = Arrays.stream(known).min().orElse(0);
            double high = Arrays.stream(known).max().orElse(0);
            for (int i = 0; i < options.size(); i++) {
                double value = figure.apply(options.get(i)).orElse(low);
                sides[i][k] = high > low ? (value - low) / (high - low) : 0;
            }
        }
        return sides;
    }

    private static OptionalDouble negative(OptionalDouble value) {
        return value.isPresent() ? OptionalDouble.of(-value.getAsDouble()) : value;
    }

    private static double[] scores(double[][] sides, double[] weights) {
        double all = Math.max(1e-9, Arrays.stream(weights).sum());
        return Arrays.stream(sides)
                .mapToDouble(side -> IntStream.range(0, weights.length)
                                .mapToDouble(k -> side[k] * weights[k])
                                .sum()
                        / all)
                .toArray();
    }

    /** Those that fail come last, whatever their score. */
    private static List<Integer> order(List<Option> options, double[] scores) {
        return IntStream.range(0, scores.length)
                .boxed()
                .sorted(Comparator.comparing((Integer i) -> options.get(i).fails())
                        .thenComparingDouble(i -> -scores[i]))
                .toList();
    }

    /** The smallest change of one weight that puts another option first. */
    private static String flip(List<Option> options, double[][] sides, double[] weights, List<Integer> order) {
        int leader = order.get(0);
        double nearest = Double.POSITIVE_INFINITY;
        String says = options.size() < 2
                ? "There is nothing to compare it with."
                : "No change of a single weight would put another one first.";
        for (int k = 0; k < SIDES.length; k++) {
            for (int j : order.subList(1, order.size())) {
                if (options.get(j).fails() && !options.get(leader).fails()) {
                    continue;
                }
                double wanted = weights[k] - gap(sides, weights, leader, j) / (sides[leader][k] - sides[j][k]);
                wanted += wanted > weights[k] ? STEP : -STEP;
                double change = Math.abs(wanted - weights[k]);
                if (Double.isFinite(wanted) && wanted >= 0 && wanted <= Weights.MOST && change < nearest) {
                    nearest = change;
                    says = options.get(j).name() + " would come first with the weight of " + SIDES[k] + " at "
                            + Values.rounded(wanted, 1) + " instead of " + Values.plain(weights[k]) + ".";
                }
            }
        }
        return says;
    }

    private static double gap(double[][] sides, double[] weights, int leader, int other) {
        return IntStream.range(0, weights.length)
                .mapToDouble(k -> weights[k] * (sides[leader][k] - sides[other][k]))
                .sum();
    }

    /** The cheapest that meets the need; of equally cheap ones the strongest. */
    public Optional<Option> cheapest() {
        return options.stream()
                .filter(o -> o.meetsNeed() && o.price().isPresent())
                .min(Comparator.comparingDouble((Option o) -> o.price().getAsDouble())
                        .thenComparingDouble(o -> -o.meanGainDb().orElse(0)));
    }

    /** The one with the highest predicted gain, of those that fail in nothing. */
    public Optional<Option> strongest() {
        return options.stream()
                .filter(o -> !o.fails() && o.meanGainDb().isPresent())
                .max(Comparator.comparingDouble(o -> o.meanGainDb().getAsDouble()));
    }

    /** Which comes out on top, in a sentence. */
    public String sentence() {
        String first = options.get(order.get(0)).name();
        String cheapest = cheapest().map(Option::name).orElse("");
        String strongest = strongest().map(Option::name).orElse("");
        String head = cheapest.isEmpty()
                ? "None of them is known to meet the need"
                : cheapest + " is the cheapest that meets the need";
        String tail = strongest.isEmpty()
                ? ""
                : strongest.equals(cheapest) ? " and the strongest" : "; " + strongest + " is the strongest";
        return head + tail + ". With these weights " + first + " comes first.";
    }

    /** What the next {@value #NEXT_UNITS} units of money beyond the cheapest would buy, as a sentence. */
    public String nextUnits() {
        Optional<Option> from = cheapest();
        if (from.isEmpty()) {
            return "None of them is known to meet the need, so there is no price to start from.";
        }
        double limit = from.get().price().getAsDouble() + NEXT_UNITS;
        double gain = from.get().meanGainDb().orElse(0);
        return options.stream()
                .filter(o -> o.price().isPresent() && o.price().getAsDouble() <= limit && o.meetsNeed())
                .filter(o -> o.meanGainDb().isPresent() && o.meanGainDb().getAsDouble() > gain)
                .max(Comparator.comparingDouble(o -> o.meanGainDb().getAsDouble()))
                .map(o -> Values.rounded(
                                o.price().getAsDouble() - from.get().price().getAsDouble(), 0)
                        + " more buys about "
                        + Values.rounded(o.meanGainDb().getAsDouble() - gain, 1) + " dB, with " + o.name() + ".")
                .orElse("The next " + Values.plain(NEXT_UNITS) + " would buy no more gain among these.");
    }
}
