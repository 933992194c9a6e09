package syntoma.core.run;

import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.hipparchus.stat.descriptive.moment.Mean;
import org.hipparchus.stat.descriptive.moment.StandardDeviation;
import org.hipparchus.stat.descriptive.rank.Percentile;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * The goodput of one direction, in samples of 250 ms from its first byte on.
 *
 * <p>The ramp is dropped: it ends where the slope over 1 s is under 10 % of the rate, at the latest after 3 s. A bucket of a plan
 * that empties first is dropped in the same way. What is left is the steady part; the rate of the run is its median.
 *
 * <pre>{@code
 * Rates steady = new Rates(Collections.nCopies(40, 20.0));
 * steady.median() // 20.0
 * steady.isFlat() // true
 * }</pre>
 *
 * @param mbps in Mb/s
 */
public record Rates(List<Double> mbps) {
    /** The length of a sample. */
    public static final int SAMPLE_MS = 250;

    /** The samples between whose first and last there is 1 s. */
    private static final int WINDOW = 5;

    private static final int LONGEST_RAMP = 12;
    private static final double STEADY_SLOPE = 0.10;

    /** A run whose rate varies by less is held by something that does not vary: a plan, or the network. */
    static final double FLAT = 0.04;

    /** How much of the steady part says whether it is flat. */
    private static final int LEAST_FLAT = 8;

    /** 1.5 s of the steady part, under which an interval of order statistics does not exist at 95 %. */
    private static final int LEAST_KNOWN = 6;

    private static final double Z_95 = 1.959963984540054;

    public Rates {
        mbps = List.copyOf(mbps);
    }

    /** The number of samples that belong to the ramp; empty while it is not over. */
    public OptionalInt ramp() {
        for (int from = 0; from + WINDOW <= mbps.size() && from < LONGEST_RAMP; from++) {
            if (isSteady(mbps.subList(from, from + WINDOW))) {
                return OptionalInt.of(from);
            }
        }
        return mbps.size() > LONGEST_RAMP ? OptionalInt.of(LONGEST_RAMP) : OptionalInt.empty();
    }

    private static boolean isSteady(List<Double> window) {
        SimpleRegression line = new SimpleRegression();
        double sum = 0;
        for (int i = 0; i < window.size(); i++) {
            line.addData(i, window.get(i));
            sum += window.get(i);
        }
        double perSecond = line.getSlope() * (1_000.0 / SAMPLE_MS);
        return sum > 0 && Math.abs(perSecond) < STEADY_SLOPE * sum / window.size();
    }

    /** What follows the ramp; empty while the ramp is not over. */
    public List<Double> steady() {
        return ramp().isPresent() ? mbps.subList(ramp().getAsInt(), mbps.size()) : List.of();
    }

    /** The rate of the run, in Mb/s: the median of the steady part; empty where there is none, or where nothing moved. */
    public OptionalDouble median() {
        double[] steady = array();
        if (steady.length == 0) {
            return OptionalDouble.empty();
        }
        double median = new Percentile(50)
                .withEstimationType(Percentile.EstimationType.R_7)
                .evaluate(steady);
        return median > 0 ? OptionalDouble.of(median) : OptionalDouble.empty();
    }

    /** The coefficient of variation of the steady part; empty where it is too short to say. */
    public OptionalDouble variation() {
        double[] steady = array();
        double mean = new Mean().evaluate(steady);
        return steady.length < LEAST_FLAT || mean <= 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(new StandardDeviation().evaluate(steady) / mean);
    }

    /** Whether the rate hardly varied, as where a plan or the network holds it. */
    public boolean isFlat() {
        return variation().orElse(1) < FLAT;
    }

    /**
     * Whether the interval of 95 % of the median lies within a share of it, by order statistics (Conover, Practical Nonparametric
     * Statistics, 3.2, large samples), with as many independent samples as the first autocorrelation leaves.
     */
    public boolean isKnownWithin(double share) {
        double[] steady = array();
        if (steady.length < LEAST_KNOWN || median().isEmpty()) {
            return false;
        }
        double median = median().getAsDouble();
        double half = Z_95 / 2 / Math.sqrt(independent(steady));
        if (half >= 0.5) {
            return false;
        }
        Percentile at = new Percentile().withEstimationType(Percentile.EstimationType.R_7);
        at.setData(steady);
        return at.evaluate(100 * (0.5 - half)) >= median * (1 - share)
                && at.evaluate(100 * (0.5 + half)) <= median * (1 + share);
    }

    /** n (1 − r)/(1 + r) with the first autocorrelation r, never more than n. */
    private static double independent(double[] x) {
        double mean = new Mean().evaluate(x);
        double together = 0;
        double alone = 0;
        for (int i = 0; i < x.length; i++) {
            alone += (x[i] - mean) * (x[i] - mean);
            together += i == 0 ? 0 : (x[i] - mean) * (x[i - 1] - mean);
        }
        double r = alone == 0 ? 0 : Math.max(0, together / alone);
        return x.length * (1 - r) / (1 + r);
    }

    private double[] array() {
        return steady().stream().mapToDouble(x -> x).toArray();
    }
}
