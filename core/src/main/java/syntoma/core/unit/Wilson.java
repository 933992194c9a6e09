package syntoma.core.unit;

import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * The 95 % interval of a share (Wilson 1927). 1 of 10: 0.0179 to 0.4042.
 *
 * <pre>{@code
 * Wilson.of(5, 4).low()  // 0.376
 * Wilson.of(5, 4).high() // 0.964
 * }</pre>
 *
 * @param low 0 where nothing hit
 * @param high 1 where all did
 */
public record Wilson(double low, double high) {
    private static final double Z = new NormalDistribution(0, 1).inverseCumulativeProbability(0.975);

    /**
     * Of so many hits.
     *
     * @param tried 1 or more
     * @throws IllegalArgumentException naming the number that cannot be
     */
    public static Wilson of(int tried, int hits) {
        if (tried < 1) {
            throw new IllegalArgumentException("tried is " + tried + "; allowed is 1 or more");
        }
        if (hits < 0 || hits > tried) {
            throw new IllegalArgumentException("hits are " + hits + "; allowed is 0 to " + tried);
        }
        double n = tried;
        double share = hits / n;
        double centre = share + Z * Z / (2 * n);
        double half = Z * Math.sqrt(share * (1 - share) / n + Z * Z / (4 * n * n));
        double scale = 1 + Z * Z / n;
        return new Wilson(hits == 0 ? 0 : (centre - half) / scale, hits == tried ? 1 : (centre + half) / scale);
    }
}
