package syntoma.core.unit;

import java.util.Arrays;
import java.util.Collection;
import java.util.OptionalDouble;

/**
 * The middle of some values: of an even number of them the mean of the two in the middle.
 *
 * <pre>{@code
 * Median.of(3, 1, 2, 10) // 2.5
 * }</pre>
 */
public final class Median {
    private Median() {}

    /**
     * The middle of one value or more, in any order.
     *
     * @throws IllegalArgumentException without a value
     */
    public static double of(double... values) {
        if (values.length == 0) {
            throw new IllegalArgumentException("a median needs at least one value");
        }
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return (sorted[(sorted.length - 1) / 2] + sorted[sorted.length / 2]) / 2;
    }

    /** The same; empty without a value. */
    public static OptionalDouble ofAny(double... values) {
        return values.length == 0 ? OptionalDouble.empty() : OptionalDouble.of(of(values));
    }

    /** The same. */
    public static double of(Collection<Double> values) {
        return of(values.stream().mapToDouble(v -> v).toArray());
    }
}
