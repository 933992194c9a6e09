package syntoma.core.verdict;

import java.util.List;
import java.util.Optional;
import syntoma.core.need.Need;
import syntoma.core.need.Threshold;

/** What to say first of two setups that were compared on several metrics. */
public final class Headline {
    private Headline() {}

    /**
     * Failures first; then the metric that matters most, with what to do; then the next one in a line where it tells
     * something else.
     *
     * @param comparisons of one pair, at least one, the one that matters most first
     */
    public static String of(List<Comparison> comparisons, List<Need> needs) {
        Comparison first = comparisons.get(0);
        Optional<String> failures = first.failures().said(first.baseline(), first.candidate());
        if (failures.isPresent()) {
            return failures.get() + (first.low().isPresent() ? " " + whenBothRun(first) : "");
        }
        String said = first.headline(Threshold.of(needs, first.metric()));
        return comparisons.stream()
                .skip(1)
                .limit(1)
                .filter(second -> tells(second) && second.verdict() != first.verdict())
                .map(second -> said + " " + second.claim())
                .findFirst()
                .orElse(said);
    }

    private static String whenBothRun(Comparison c) {
        return switch (c.verdict()) {
            case LESS_RELIABLE, BETTER, WORSE, SLIGHTLY_BETTER, SLIGHTLY_WORSE ->
                "When both run, " + new Sentences(c, Optional.empty()).effect(Amount.whose(c.candidate())) + ".";
            default -> c.claim();
        };
    }

    private static boolean tells(Comparison c) {
        return c.verdict() != Verdict.TOO_FEW && c.verdict() != Verdict.CANNOT_TELL;
    }
}
