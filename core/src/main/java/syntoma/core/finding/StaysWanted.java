package syntoma.core.finding;

import java.util.OptionalInt;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * How many more stays with both would likely settle a contrast that cannot be told yet: at the present estimate and spread between
 * stays, the fewest for which the interval lies beyond no difference or inside what does not matter.
 */
final class StaysWanted {
    /** More than this is more work than the answer is worth. */
    private static final int MOST = 20;

    private StaysWanted() {}

    static OptionalInt of(double margin, double mean, double error, int stays) {
        double perStay = error * Math.sqrt(stays);
        for (int more = 1; more <= MOST; more++) {
            int all = stays + more;
            double half = new TDistribution(all - 1.0).inverseCumulativeProbability(0.975) * perStay / Math.sqrt(all);
            if (Math.abs(mean) > half || Math.abs(mean) + half < margin) {
                return OptionalInt.of(more);
            }
        }
        return OptionalInt.empty();
    }
}
