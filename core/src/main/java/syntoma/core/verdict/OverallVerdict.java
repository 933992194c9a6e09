package syntoma.core.verdict;

import java.util.List;
import java.util.Optional;
import syntoma.core.need.Need;
import syntoma.core.need.Threshold;

/** What a comparison of two setups comes to as a whole: each figure's sentence is said within it, so that none contradicts it. */
public record OverallVerdict(List<Need> needs, NeedComparison need, SetupChoice choice) {
    /** A figure by itself. */
    public static final OverallVerdict NOTHING_ASKED = new OverallVerdict(
            List.of(), NeedComparison.NONE, new SetupChoice(Optional.empty(), SetupChoice.Basis.WORK));

    /**
     * Of one pair.
     *
     * @param comparisons at least one, the one that matters most first
     */
    public static OverallVerdict of(List<Comparison> comparisons, List<Need> needs, NeedComparison need) {
        return new OverallVerdict(needs, need, SetupChoice.of(comparisons, needs, need));
    }

    /** What the needs ask of a comparison's figure. */
    public Optional<Threshold> threshold(Comparison c) {
        return Threshold.of(needs, c.metric());
    }

    /** That the setup to use did more for the need; empty text where that is not known. */
    String reason(Comparison c) {
        if (choice.basis() == SetupChoice.Basis.NEED) {
            String used = choice.setup().orElseThrow();
            String other = c.otherThan(used);
            return used + ", which met " + need.name() + " in " + need.share(used) + " runs (" + other + " in "
                    + need.share(other) + ")";
        }
        return choice.setup().orElse("");
    }
}
