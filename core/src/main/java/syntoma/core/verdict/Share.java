package syntoma.core.verdict;

import java.util.OptionalDouble;
import syntoma.core.unit.Wilson;

/**
 * How many of a setup's attempts failed, with the 95 % Wilson interval of the failing share (Wilson 1927).
 *
 * @param low empty when nothing was tried
 * @param high empty when nothing was tried
 */
public record Share(int attempts, int failures, OptionalDouble low, OptionalDouble high) {
    /** 1 of 10 has the interval 0.0179 to 0.4042. */
    public static Share of(int tried, int failed) {
        if (failed < 0 || failed > tried) {
            throw new IllegalArgumentException("failed is " + failed + "; allowed is 0 to " + tried);
        }
        if (tried == 0) {
            return new Share(0, 0, OptionalDouble.empty(), OptionalDouble.empty());
        }
        Wilson interval = Wilson.of(tried, failed);
        return new Share(tried, failed, OptionalDouble.of(interval.low()), OptionalDouble.of(interval.high()));
    }
}
