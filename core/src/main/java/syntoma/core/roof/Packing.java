package syntoma.core.roof;

import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * The smallest circle that holds circles of given diameters beside each other. From many starts the circles are pushed apart within
 * a circle that is made smaller for as long as they find room (damped Gauss-Newton on how deep they lie in each other); what is
 * found is then moved apart until nothing overlaps, so that the result always holds them. Accurate to 0.01 mm for what leads through
 * a wall: up to {@value #MOST} circles.
 */
final class Packing {
    static final int MOST = 16;

    private static final int STARTS = 40;
    private static final int STEPS = 60;
    /** A step that gains less than this is the last: the circles are jammed. */
    private static final double STALLS = 0.99;

    private static final double MOST_DAMPING = 100;
    private static final double FITS = 1e-9;
    private static final double FINEST = 1e-5;
    private static final long SEED = 7;

    /** What was calculated last: while something is dragged over a roof, the leads stay what they are. */
    private static final Map<List<Double>, Double> KNOWN = Collections.synchronizedMap(new LinkedHashMap<>() {
        @Override
        protected boolean removeEldestEntry(Map.Entry<List<Double>, Double> eldest) {
            return size() > MOST_KNOWN;
        }
    });

    private static final int MOST_KNOWN = 500;

    private final double[] radii;

    private Packing(double[] radii) {
        this.radii = radii;
    }

    /**
     * The diameter that holds them, in the unit of theirs.
     *
     * @throws IllegalArgumentException for none, more than there may be, or one without a size
     */
    static double diameter(List<Double> diameters) {
        if (diameters.isEmpty() || diameters.size() > MOST || diameters.stream().anyMatch(d -> !(d > 0))) {
            throw new IllegalArgumentException(
                    "circles are " + diameters + "; allowed are 1 to " + MOST + " with a diameter above 0");
        }
        List<Double> sorted = diameters.stream().sorted().toList();
        Double known = KNOWN.get(sorted);
        if (known == null) {
            known = 2 * new Packing(sorted.stream().mapToDouble(d -> d / 2).toArray()).radius();
            KNOWN.put(sorted, known);
        }
        return known;
    }

    private double radius() {
        int n = radii.length;
        if (n == 1) {
            return radii[0];
        }
        // no smaller than the two largest beside each other, and than all their areas
        double least = Math.max(
                radii[n - 1] + radii[n - 2],
                Math.sqrt(Arrays.stream(radii).map(r -> r * r).sum()));
        double best = Arrays.stream(radii).sum();
        Random random = new Random(SEED);
        for (int start = 0; start < STARTS && best > least * (1 + FINEST); start++) {
            double[] at = random.doubles(2L * n, -1, 1).map(v -> v * least / 2).toArray();
            best = Math.min(best, shrink(at, least, best));
        }
        return best;
    }

    /** The smallest circle that is reached from a start, or the best so far where it does not even fit that. */
    private double shrink(double[] start, double least, double best) {
        double[] at = start;
        double high = best * (1 - FINEST);
        if (!hasSettled(at, high)) {
            return best;
        }
        double found = radius(at);
        double low = least;
        high = Math.min(high, found);
        while (high - low > FINEST * least) {
            double middle = (low + high) / 2;
            double[] tried = at.clone();
            if (hasSettled(tried, middle)) {
                at = tried;
                found = Math.min(found, radius(tried));
                high = middle;
            } else {
                low = middle;
            }
        }
        return found;
    }

    /** Moves them until they fit into a circle; whether they do. */
    private boolean hasSettled(double[] at, double within) {
        double damping = 1e-3;
        double before = depth(at, within);
        for (int step = 0; step < STEPS && before > FITS * within * within; step++) {
            double[] moved = move(at, within, damping);
            double after = depth(moved, within);
            if (after < before) {
                boolean stalls = after > STALLS * before;
                System.arraycopy(moved, 0, at, 0, at.length);
                before = after;
                damping = Math.max(1e-9, damping / 4);
                if (stalls) {
                    break;
                }
            } else {
                damping *= 8;
                if (damping > MOST_DAMPING) {
                    break;
                }
            }
        }
        return before <= FITS * within * within;
    }

    /** The sum of the squares of how deep they lie in each other, and stick out. */
    private double depth(double[] at, double within) {
        double sum = 0;
        for (int i = 0; i < radii.length; i++) {
            double out = Spot.length(at[2 * i], at[2 * i + 1]) + radii[i] - within;
            sum += out > 0 ? out * out : 0;
            for (int j = 0; j < i; j++) {
                double in = radii[i] + radii[j] - distance(at, i, j);
                sum += in > 0 ? in * in : 0;
            }
        }
        return sum;
    }

    private double[] move(double[] at, double within, double damping) {
        int n = at.length;
        RealMatrix hessian = new Array2DRowRealMatrix(n, n);
        RealVector gradient = new ArrayRealVector(n);
        for (int i = 0; i < radii.length; i++) {
            double away = Spot.length(at[2 * i], at[2 * i + 1]);
            double out = away + radii[i] - within;
            if (out > 0 && away > 0) {
                add(hessian, gradient, out, new int[] {2 * i, 2 * i + 1}, new double[] {
                    at[2 * i] / away, at[2 * i + 1] / away
                });
            }
            for (int j = 0; j < i; j++) {
                double apart = Math.max(1e-12, distance(at, i, j));
                double in = radii[i] + radii[j] - apart;
                if (in > 0) {
                    double x = (at[2 * j] - at[2 * i]) / apart;
                    double y = (at[2 * j + 1] - at[2 * i + 1]) / apart;
                    add(hessian, gradient, in, new int[] {2 * i, 2 * i + 1, 2 * j, 2 * j + 1}, new double[] {
                        x, y, -x, -y
                    });
                }
            }
        }
        for (int k = 0; k < n; k++) {
            hessian.addToEntry(k, k, damping);
        }
        RealVector step = new CholeskyDecomposition(hessian).getSolver().solve(gradient);
        return new ArrayRealVector(at).subtract(step).toArray();
    }

    /** One residual with the entries of its gradient that are not nought. */
    private static void add(RealMatrix hessian, RealVector gradient, double residual, int[] places, double[] slopes) {
        for (int a = 0; a < places.length; a++) {
            gradient.addToEntry(places[a], residual * slopes[a]);
            for (int b = 0; b < places.length; b++) {
                hessian.addToEntry(places[a], places[b], slopes[a] * slopes[b]);
            }
        }
    }

    private static double distance(double[] at, int i, int j) {
        return Spot.length(at[2 * i] - at[2 * j], at[2 * i + 1] - at[2 * j + 1]);
    }

    /** The radius that holds them after they are moved apart from the middle until none overlap. */
    private double radius(double[] at) {
        double apart = 1;
        for (int i = 0; i < radii.length; i++) {
            for (int j = 0; j < i; j++) {
                apart = Math.max(apart, (radii[i] + radii[j]) / Math.max(1e-12, distance(at, i, j)));
            }
        }
        double radius = 0;
        for (int i = 0; i < radii.length; i++) {
            radius = Math.max(radius, apart * Spot.length(at[2 * i], at[2 * i + 1]) + radii[i]);
        }
        return radius;
    }
}
