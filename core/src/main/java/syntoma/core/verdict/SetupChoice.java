package syntoma.core.verdict;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import syntoma.core.need.Need;
import syntoma.core.need.Threshold;

/**
 * Which of two setups to use, and what decides (docs/methods.md#9-verdicts). Every view that says what to use takes it from here.
 *
 * @param setup empty where only the work decides
 */
public record SetupChoice(Optional<String> setup, Basis basis) {

    /** What decides, in the order in which it does. */
    public enum Basis {
        /** One met the whole need more often. */
        NEED,
        /** One failed more often than chance explains. */
        FAILURES,
        /** One is better on a figure: the first of the need's that tells them apart. */
        FIGURE,
        /** Nothing tells them apart: the one that is less work. */
        WORK
    }

    /**
     * Decides between two setups.
     *
     * @param comparisons of one pair, at least one, the one that matters most first
     */
    public static SetupChoice of(List<Comparison> comparisons, List<Need> needs, NeedComparison need) {
        Comparison first = comparisons.get(0);
        String baseline = first.baseline();
        String candidate = first.candidate();
        Optional<String> clearly = need.clearlyMore(baseline, candidate);
        if (clearly.isPresent()) {
            return new SetupChoice(clearly, Basis.NEED);
        }
        Optional<String> reliable = first.failures().reliable(baseline, candidate);
        if (reliable.isPresent()) {
            return new SetupChoice(reliable, Basis.FAILURES);
        }
        Optional<String> byFigure = deciding(comparisons, needs, need).flatMap(SetupChoice::better);
        if (byFigure.isPresent()) {
            return new SetupChoice(byFigure, Basis.FIGURE);
        }
        Optional<String> half = need.onlyOneInHalf(baseline, candidate);
        return half.isPresent() ? new SetupChoice(half, Basis.NEED) : new SetupChoice(Optional.empty(), Basis.WORK);
    }

    /**
     * The comparison whose figure decides: of those that the need asks for, the one that fails first; without a need the first of
     * all. Never one that is for the setup that met the whole need less often.
     */
    static Optional<Comparison> deciding(List<Comparison> comparisons, List<Need> needs, NeedComparison need) {
        List<Comparison> asked = comparisons.stream()
                .filter(c -> Threshold.of(needs, c.metric()).isPresent())
                .sorted(Comparator.comparing(
                        c -> !need.failsOn(c.baseline(), c.metric()) && !need.failsOn(c.candidate(), c.metric())))
                .toList();
        return (asked.isEmpty() ? comparisons.stream().limit(1) : asked.stream())
                .filter(c -> better(c)
                        .filter(setup -> !need.isLess(setup, c.baseline(), c.candidate()))
                        .isPresent())
                .findFirst();
    }

    private static Optional<String> better(Comparison c) {
        return switch (c.verdict()) {
            case BETTER -> Optional.of(c.candidate());
            case WORSE, LESS_RELIABLE -> Optional.of(c.baseline());
            case TOO_FEW -> c.onlyWorking();
            default -> Optional.empty();
        };
    }

    /** Which of two it is, whatever they are called elsewhere. */
    public enum Side {
        BASELINE,
        CANDIDATE,
        EITHER
    }

    /** Which of the two of a comparison it is. */
    public Side side(Comparison c) {
        if (setup.isEmpty()) {
            return Side.EITHER;
        }
        return isFor(c.candidate()) ? Side.CANDIDATE : Side.BASELINE;
    }

    /** Whether it is this one. */
    public boolean isFor(String name) {
        return setup.filter(name::equals).isPresent();
    }
}
