package syntoma.core.verdict;

import java.util.List;
import java.util.Optional;
import syntoma.core.need.Need;
import syntoma.core.need.Threshold;

/** What a comparison of two setups comes to as a whole: each figure's sentence is said within it, so that none contradicts it. */
public record Overall(List<Need> needs, NeedComparison need, Choice choice) {
    /** A figure by itself. */
    public static final Overall NOTHING_ASKED =
            new Overall(List.of(), NeedComparison.NONE, new Choice(Optional.empty(), Choice.Basis.WORK));

    /**
     * Of one pair.
     *
     * @param comparisons at least one, the one that matters most first
     */
    public static Overall of(List<Comparison> comparisons, List<Need> needs, NeedComparison need) {
        return new Overall(needs, need, Choice.of(comparisons, needs, need));
    }

    /** What the needs ask of a comparison's figure. */
    public Optional<Threshold> asked(Comparison c) {
        return Threshold.of(needs, c.metric());
    }

    /** That the setup to use did more for the need; empty text where that is not known. */
    String reason(Comparison c) {
        if (choice.basis() == Choice.Basis.NEED) {
            String used = choice.setup().orElseThrow();
            String other = used.equals(c.candidate()) ? c.baseline() : c.candidate();
            return used + ", which met " + need.name() + " in " + need.share(used) + " runs (" + other + " in "
                    + need.share(other) + ")";
        }
        return choice.setup().orElse("");
    }
}
