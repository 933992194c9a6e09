package syntoma.app.reference;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import org.springframework.lang.Nullable;
import syntoma.core.reading.RadioMetric;

/**
 * A value of a radio metric on its scale.
 *
 * @param spread of the values that it is compared with
 * @param usual what is usual; null where nothing is known of it
 * @param from left end of the scale
 * @param to right end of the scale
 * @param floors where strong, good, fair and weak begin
 */
public record Ladder(
        String label,
        String unit,
        BigDecimal value,
        String grade,
        Spread spread,
        @Nullable Double usual,
        double from,
        double to,
        List<Double> floors) {

    /** The lowest, middle and highest of some values. */
    public record Spread(double low, double median, double high) {
        /** Of at least one value, in any order. */
        public static Spread of(double[] values) {
            double[] sorted = values.clone();
            Arrays.sort(sorted);
            int last = sorted.length - 1;
            return new Spread(sorted[0], (sorted[last / 2] + sorted[sorted.length / 2]) / 2, sorted[last]);
        }
    }

    public static Ladder of(RadioMetric metric, BigDecimal value, Spread spread, @Nullable Double usual) {
        return new Ladder(
                metric.label(),
                metric.unit(),
                value,
                metric.grade(value.doubleValue()).word(),
                spread,
                usual,
                metric.strip()[0],
                metric.strip()[1],
                metric.floors());
    }
}
