package syntoma.core.finding;

import java.util.Optional;
import syntoma.core.reading.Figure;
import syntoma.core.reading.Scale;
import syntoma.core.unit.Median;

/**
 * What is compared: a metric, or whether the need was met.
 *
 * @param key the name in the API
 * @param words the name in a sentence
 * @param metric empty for the need
 */
public record Criterion(String key, String words, Scale scale, boolean isHigherBetter, Optional<Figure> metric) {
    /** The name in the API of whether the need was met. */
    public static final String NEED = "need";

    /** Chosen: one run in ten more is what one notices over a week. */
    private static final double POINTS_THAT_MATTER = 10;

    /** A metric. */
    public static Criterion of(Figure metric) {
        return new Criterion(
                metric.comparing().key(),
                metric.measure().phrase(),
                metric.scale(),
                metric.comparing().isHigherBetter(),
                Optional.of(metric));
    }

    /** Whether runs met a need: 100 for one that did, 0 for one that did not; compared in percentage points. */
    public static Criterion needMet(String need) {
        return new Criterion(
                NEED, "share of runs that meet " + need, new Scale.Share(POINTS_THAT_MATTER), true, Optional.empty());
    }

    /** What several values of one unit in one block count as, each on the scale: their median, of a share the mean. */
    double middle(double... onScale) {
        if (onScale.length == 1) {
            return onScale[0];
        }
        if (metric.isPresent()) {
            return Median.of(onScale);
        }
        double sum = 0;
        for (double value : onScale) {
            sum += value;
        }
        return sum / onScale.length;
    }

    /** Whether one value is better than another. */
    boolean isBetter(double one, double other) {
        return isHigherBetter ? one > other : one < other;
    }
}
