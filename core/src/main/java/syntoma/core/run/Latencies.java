package syntoma.core.run;

import java.util.List;
import java.util.OptionalDouble;
import org.hipparchus.stat.descriptive.rank.Percentile;

/**
 * What short questions took to be answered, in ms, and how many were not.
 *
 * <pre>{@code
 * Latencies some = new Latencies(List.of(40.0, 44.0, 42.0, 60.0), 1);
 * some.median() // 43.0
 * }</pre>
 *
 * @param ms of those that were answered, in the order in which they were asked
 * @param lostProbes how many were not
 */
public record Latencies(List<Double> ms, int lostProbes) {
    /** How many answers make an idle latency. */
    public static final int LEAST_IDLE = 10;

    public Latencies {
        ms = List.copyOf(ms);
    }

    public OptionalDouble median() {
        return at(50);
    }

    /** What 19 of 20 kept under. */
    public OptionalDouble p95() {
        return at(95);
    }

    private OptionalDouble at(double percent) {
        return ms.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(new Percentile(percent)
                        .withEstimationType(Percentile.EstimationType.R_7)
                        .evaluate(ms.stream().mapToDouble(x -> x).toArray()));
    }

    /** The mean difference between one answer and the next, in ms (as the interarrival jitter of RFC 3550, unsmoothed). */
    public OptionalDouble jitter() {
        if (ms.size() < 2) {
            return OptionalDouble.empty();
        }
        double sum = 0;
        for (int i = 1; i < ms.size(); i++) {
            sum += Math.abs(ms.get(i) - ms.get(i - 1));
        }
        return OptionalDouble.of(sum / (ms.size() - 1));
    }
}
