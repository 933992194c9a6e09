package syntoma.core.finding;

import java.util.Arrays;
import java.util.Optional;
import java.util.Random;

/**
 * Where a series changed its level: the place at which the sum of deviations from its mean is largest (CUSUM, Page 1954), when so
 * large a sum comes up in fewer than one in a hundred of its permutations. One change, not several; of fewer than ten values none can
 * be told at this threshold, since their orders are too few.
 *
 * @param first the place of the first value after the change, from 1 on
 * @param before mean before it
 * @param after mean from it on
 * @param p how often chance alone gives as much
 */
public record ChangePoint(int first, double before, double after, double p) {
    /** The threshold (docs/methods.md#10-findings). */
    public static final double LEVEL = 0.01;

    private static final int PERMUTATIONS = 4_999;

    /** Fixed, so that the same log says the same. */
    private static final long SEED = 20_260_814L;

    /** The change in a series in the order of time; empty where nothing tells so. */
    public static Optional<ChangePoint> of(double... values) {
        int n = values.length;
        double mean = Arrays.stream(values).average().orElse(0);
        int at = 0;
        double most = 0;
        double sum = 0;
        for (int i = 0; i < n - 1; i++) {
            sum += values[i] - mean;
            if (Math.abs(sum) > most) {
                most = Math.abs(sum);
                at = i + 1;
            }
        }
        if (at == 0) {
            return Optional.empty();
        }
        double p = p(values.clone(), mean, most);
        return p < LEVEL
                ? Optional.of(new ChangePoint(
                        at,
                        Arrays.stream(values, 0, at).average().orElseThrow(),
                        Arrays.stream(values, at, n).average().orElseThrow(),
                        p))
                : Optional.empty();
    }

    private static double p(double[] values, double mean, double most) {
        Random random = new Random(SEED);
        int asMuch = 1;
        for (int round = 0; round < PERMUTATIONS; round++) {
            for (int i = values.length - 1; i > 0; i--) {
                int j = random.nextInt(i + 1);
                double swapped = values[i];
                values[i] = values[j];
                values[j] = swapped;
            }
            asMuch += largest(values, mean) >= most * (1 - 1e-12) ? 1 : 0;
        }
        return asMuch / (PERMUTATIONS + 1.0);
    }

    private static double largest(double[] values, double mean) {
        double most = 0;
        double sum = 0;
        for (int i = 0; i < values.length - 1; i++) {
            sum += values[i] - mean;
            most = Math.max(most, Math.abs(sum));
        }
        return most;
    }
}
