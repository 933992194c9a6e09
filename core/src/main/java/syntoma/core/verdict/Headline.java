package syntoma.core.verdict;

import java.util.List;

/** What to say first of two setups that were compared on several metrics. */
public final class Headline {
    private static final int LINES = 2;

    private Headline() {}

    /**
     * The first two metrics in a line each; with too few rounds on both, the reason once.
     *
     * @param comparisons at least one, the one that matters most first
     */
    public static String of(List<Comparison> comparisons) {
        List<Comparison> first = comparisons.stream().limit(LINES).toList();
        boolean tooFew = first.stream().allMatch(c -> c.verdict() == Verdict.TOO_FEW);
        String start = first.get(0).headline();
        if (tooFew || first.size() < LINES) {
            return start;
        }
        String candidate = first.get(1).candidate();
        String second = first.get(1).headline();
        boolean bothOfIt = start.startsWith(candidate) && second.startsWith(candidate);
        return start + " " + (bothOfIt ? "It" + second.substring(candidate.length()) : second);
    }
}
