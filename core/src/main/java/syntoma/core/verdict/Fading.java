package syntoma.core.verdict;

/**
 * What changes in the air anyway while an antenna is carried from place to place: slow fading as a first-order autoregression
 * with a standard deviation of 3 dB that forgets itself over ten minutes (docs/methods.md#18-stand-in-world; the shape after Gudmundson 1991,
 * in time instead of distance for something that stands).
 */
final class Fading {
    /** Standard deviation, in dB. */
    static final double SD_DB = 3;

    /** After so many seconds its memory has fallen to 1/e. */
    static final double MEMORY_S = 600;

    private Fading() {}

    private static double covariance(double oneS, double otherS) {
        return SD_DB * SD_DB * Math.exp(-Math.abs(oneS - otherS) / MEMORY_S);
    }

    /**
     * The variance that a mean of paired differences has from fading beyond what the scatter of the differences shows of it, in
     * dB²: nothing where the places were marked in turn, much where one was done with before the other began.
     *
     * @param ones when one side of each pair was taken, in s
     * @param others when the other side was
     */
    static double unseen(double[] ones, double[] others) {
        int n = ones.length;
        double all = 0;
        double own = 0;
        for (int k = 0; k < n; k++) {
            for (int l = 0; l < n; l++) {
                double c = covariance(ones[k], ones[l])
                        + covariance(others[k], others[l])
                        - covariance(ones[k], others[l])
                        - covariance(others[k], ones[l]);
                all += c;
                own += k == l ? c : 0;
            }
        }
        double ofMean = all / n / n;
        double seen = n < 2 ? 0 : (own - all / n) / (n - 1.0);
        return Math.max(0, ofMean - seen / n);
    }
}
