package syntoma.core.choice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * Options side by side. A score is the sum of the points of each side times its weight, so it does not depend on what else is
 * compared; what lacks something that cannot be done without stands last, and before it what cannot be ranked because its gain is
 * not known. Options whose scores differ by less than the
 * predictions of their gains may be off by are equal and share a place.
 *
 * @param scores per option, in the order of the options
 * @param order numbers of the options, the best first
 * @param places per option; equals share one
 */
public record Ranking(
        List<Option> options,
        Weights weights,
        OptionalDouble budget,
        List<Double> scores,
        List<Integer> order,
        List<Integer> places) {
    /** How much more money is looked at beyond the cheapest. */
    public static final double NEXT_UNITS = 50;

    private static final double STEP = 0.05;

    /** Ranks one to six options. */
    public static Ranking of(List<Option> options, Weights weights, OptionalDouble budget) {
        Values.within("number of options", options.size(), 1, 6, "");
        double[] scores =
                options.stream().mapToDouble(o -> score(o, weights, budget)).toArray();
        List<Integer> order = IntStream.range(0, scores.length)
                .boxed()
                .sorted(Comparator.comparing((Integer i) -> options.get(i).fails())
                        .thenComparing(i -> isUnranked(options.get(i), weights))
                        .thenComparingDouble(i -> -scores[i]))
                .toList();
        return new Ranking(
                List.copyOf(options),
                weights,
                budget,
                Arrays.stream(scores).boxed().toList(),
                order,
                places(options, weights, scores, order));
    }

    /** Whether its gain counts and is not known: unknown is not 0 dB. */
    private static boolean isUnranked(Option option, Weights weights) {
        return weights.gain() > 0 && option.meanGainDb().isEmpty();
    }

    private static double score(Option option, Weights weights, OptionalDouble budget) {
        return Arrays.stream(Side.values())
                .mapToDouble(side -> weights.of(side) * side.points(option, budget))
                .sum();
    }

    /** Down the order: a place begins where one is clearly worse than the first of the place above. */
    private static List<Integer> places(List<Option> options, Weights weights, double[] scores, List<Integer> order) {
        Integer[] places = new Integer[scores.length];
        int head = order.get(0);
        for (int position = 0; position < order.size(); position++) {
            int here = order.get(position);
            Option first = options.get(head);
            Option own = options.get(here);
            double doubt = weights.gain() * Side.pointsOfDb(Math.hypot(first.gainHalfWidthDb(), own.gainHalfWidthDb()));
            boolean equal = first.fails() == own.fails()
                    && isUnranked(first, weights) == isUnranked(own, weights)
                    && scores[head] - scores[here] <= doubt;
            if (!equal) {
                head = here;
            }
            places[here] = equal && here != head ? places[head] : position + 1;
        }
        return Arrays.asList(places);
    }

    private int first() {
        return order.get(0);
    }

    /** The options that share the first place, the best first. */
    public List<Option> leaders() {
        return order.stream().filter(i -> places.get(i) == 1).map(options::get).toList();
    }

    /** Why an option stands where it does, against the one above it or, for the first, the one below. */
    public String reason(int option) {
        if (options.size() < 2) {
            return "";
        }
        Option own = options.get(option);
        if (own.fails()) {
            return "last, because this is missing: " + String.join(", ", own.lacks());
        }
        if (isUnranked(own, weights)) {
            return "not ranked: its gain is not known. Complete its data sheet (gain, length of its leads), and it can be compared";
        }
        int position = order.indexOf(option);
        int other = order.get(position == 0 ? 1 : position - 1);
        String equal = places.get(option).equals(places.get(other))
                ? "equal to " + options.get(other).name() + " as far as can be predicted"
                : "";
        if (position == 0 && options.get(other).fails()) {
            return "the only one that lacks nothing";
        }
        String against = differences(option, other);
        String head = position == 0 ? "ahead of " : "behind ";
        return equal.isEmpty()
                ? head + options.get(other).name() + (against.isEmpty() ? "" : ": " + against)
                : equal + (against.isEmpty() ? "" : "; " + against);
    }

    /** What weighs most between two, for and against. */
    private String differences(int option, int other) {
        Option own = options.get(option);
        Option its = options.get(other);
        List<Side> sides = Arrays.stream(Side.values())
                .filter(side -> weights.of(side) > 0)
                .sorted(Comparator.comparingDouble(side -> -Math.abs(gap(side, own, its))))
                .toList();
        List<String> says = new ArrayList<>();
        for (Side side : sides) {
            if (says.size() < 2) {
                side.difference(own, its).ifPresent(says::add);
            }
        }
        return String.join(", ", says);
    }

    private double gap(Side side, Option one, Option other) {
        return weights.of(side) * (side.points(one, budget) - side.points(other, budget));
    }

    /** The smallest change of one weight that puts another option first. */
    public String flip() {
        int leader = first();
        double nearest = Double.POSITIVE_INFINITY;
        String says = options.size() < 2
                ? "There is nothing to compare it with."
                : "No change of a single weight would put another one first.";
        for (Side side : Side.values()) {
            for (int j : order.subList(1, order.size())) {
                if ((options.get(j).fails() && !options.get(leader).fails()) || isUnranked(options.get(j), weights)) {
                    continue;
                }
                double apart = side.points(options.get(leader), budget) - side.points(options.get(j), budget);
                double wanted = weights.of(side) - (scores.get(leader) - scores.get(j)) / apart;
                wanted += wanted > weights.of(side) ? STEP : -STEP;
                double change = Math.abs(wanted - weights.of(side));
                if (Double.isFinite(wanted) && wanted >= 0 && wanted <= Weights.MOST && change < nearest) {
                    nearest = change;
                    says = options.get(j).name() + " would come first with the weight of " + side.key() + " at "
                            + Values.round(wanted, 1) + " instead of " + Values.format(weights.of(side)) + ".";
                }
            }
        }
        return says;
    }

    /** The cheapest that meets the need; of equally cheap ones the strongest. */
    public Optional<Option> cheapest() {
        return options.stream()
                .filter(o -> o.meetsNeed() && !o.price().isOpen())
                .min(Comparator.comparingDouble((Option o) -> o.price().knownPart())
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
        String cheapest = cheapest().map(Option::name).orElse("");
        String strongest = strongest().map(Option::name).orElse("");
        String head = cheapest.isEmpty() ? withoutCheapest() : cheapest + " is the cheapest that meets the need";
        String tail = strongest.isEmpty()
                ? ""
                : strongest.equals(cheapest) ? " and the strongest" : "; " + strongest + " is the strongest";
        List<String> leaders = leaders().stream().map(Option::name).toList();
        String first = leaders.size() == 1
                ? leaders.get(0) + " comes first."
                : String.join(", ", leaders.subList(0, leaders.size() - 1)) + " and " + leaders.get(leaders.size() - 1)
                        + " share the first place: no prediction tells them apart.";
        return head + tail + ". With these weights " + first;
    }

    /** Why none is the cheapest that meets the need. */
    private String withoutCheapest() {
        List<String> meeting =
                options.stream().filter(Option::meetsNeed).map(Option::name).toList();
        if (!meeting.isEmpty()) {
            return Text.list(meeting) + (meeting.size() == 1 ? " meets" : " meet")
                    + " the need, at a price that is not known";
        }
        return options.stream().allMatch(Option::fails)
                ? "None of them meets the need"
                : "None of them is known to meet the need";
    }

    /** What the next {@value #NEXT_UNITS} units of money beyond the cheapest would buy, as a sentence. */
    public String nextUnits() {
        Optional<Option> from = cheapest();
        if (from.isEmpty()) {
            return withoutCheapest() + ", so there is no price to start from.";
        }
        double limit = from.get().price().knownPart() + NEXT_UNITS;
        if (from.get().meanGainDb().isEmpty()) {
            return "The gain of " + from.get().name()
                    + ", the cheapest, is not known, so nothing can be said of what more money buys.";
        }
        double gain = from.get().meanGainDb().getAsDouble();
        return options.stream()
                .filter(o -> !o.price().isOpen() && o.price().knownPart() <= limit && o.meetsNeed())
                .filter(o -> o.meanGainDb().isPresent() && o.meanGainDb().getAsDouble() > gain)
                .max(Comparator.comparingDouble(o -> o.meanGainDb().getAsDouble()))
                .map(o ->
                        Values.round(o.price().knownPart() - from.get().price().knownPart(), 0)
                                + " more buys about "
                                + Values.round(o.meanGainDb().getAsDouble() - gain, 1) + " dB, with " + o.name() + ".")
                .orElse("The next " + Values.format(NEXT_UNITS) + " would buy no more gain among these.");
    }
}
