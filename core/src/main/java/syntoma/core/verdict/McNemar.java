package syntoma.core.verdict;

import org.hipparchus.distribution.discrete.BinomialDistribution;

/**
 * McNemar's exact test: of the rounds in which one setup ran and the other failed, are both kinds equally likely?
 *
 * <pre>{@code
 * McNemar.p(6, 0) // 0.031
 * McNemar.p(5, 5) // 1.0
 * }</pre>
 */
public final class McNemar {
    private McNemar() {}

    /**
     * Two-sided p-value; 1 when no round tells the two apart. 6 against 0 gives .03125.
     *
     * @param onlyFirst rounds in which only the first ran
     * @param onlySecond rounds in which only the second ran
     */
    public static double p(int onlyFirst, int onlySecond) {
        int n = onlyFirst + onlySecond;
        if (n == 0) {
            return 1;
        }
        double tail = new BinomialDistribution(n, 0.5).cumulativeProbability(Math.min(onlyFirst, onlySecond));
        return Math.min(1, 2 * tail);
    }
}
