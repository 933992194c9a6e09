package syntoma.core.verdict;

import java.util.OptionalDouble;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * How many of a setup's attempts failed, with the 95 % Wilson interval of the failing share (Wilson 1927).
 *
 * @param low empty when nothing was tried
 * @param high empty when nothing was tried
 */
public record Share(int tried, int failed, OptionalDouble low, OptionalDouble high) {
    private static final double Z = new NormalDistribution(0, 1).inverseCumulativeProbability(0.975);

    /** 1 of 10 has the interval 0.0179 to 0.4042. */
    public static Share of(int tried, int failed) {
        if (failed < 0 || failed > tried) {
            throw new IllegalArgumentException("failed is " + failed + "; allowed is 0 to " + tried);
        }
        if (tried == 0) {
            return new Share(0, 0, OptionalDouble.empty(), OptionalDouble.empty());
        }
        double n = tried;
        double share = failed / n;
        double centre = share + Z * Z / (2 * n);
        double half = Z * Math.sqrt(share * (1 - share) / n + Z * Z / (4 * n * n));
        double scale = 1 + Z * Z / n;
        return new Share(
                tried,
                failed,
                OptionalDouble.of(failed == 0 ? 0 : (centre - half) / scale),
                OptionalDouble.of(failed == tried ? 1 : (centre + half) / scale));
    }
}
