package syntoma.core.aim;

import java.util.List;
import net.sf.geographiclib.Geodesic;
import net.sf.geographiclib.GeodesicData;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.EigenDecompositionSymmetric;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * Where bearings from several places cross: the place from which all of them are off the least, by least squares of the azimuths on
 * WGS-84 (Gauss–Newton, azimuths by GeographicLib), weighted by how sure each is, with the ellipse that holds it in 95 % of cases.
 *
 * @param at where the mast stands, about
 * @param longM the ellipse’s longer half-axis
 * @param shortM its shorter one
 * @param longDeg where the longer one points, from true north
 * @param offDeg by how much the bearings miss it, root of the mean square
 */
public record Crossing(Spot at, double longM, double shortM, double longDeg, double offDeg) {
    private static final int MOST_STEPS = 50;
    private static final double NEAR_M = 0.5;

    /** A step in m by which the slope of the azimuths is taken. */
    private static final double SLOPE_M = 1;

    /** The quantile of χ² with two degrees of freedom that holds 19 in 20. */
    private static final double HOLDS_95 = 5.991;

    /** Lines that meet so flat say nothing of how far it is. */
    private static final double FLATTEST_DEG = 4;

    private static final double FURTHEST_M = 200_000;

    /**
     * A bearing from a place.
     *
     * @param sureDeg one standard deviation, above 0
     */
    public record Line(Spot from, double trueDeg, double sureDeg) {
        public Line {
            if (!(sureDeg > 0)) {
                throw new IllegalArgumentException("sureness is " + sureDeg + " degrees; allowed is more than 0");
            }
        }
    }

    /**
     * Where lines cross.
     *
     * @throws IllegalArgumentException with fewer than two places, and where they do not cross ahead
     */
    public static Crossing of(List<Line> lines) {
        if (lines.stream().map(Line::from).distinct().count() < 2) {
            throw new IllegalArgumentException("bearings are from one place; at least two places are needed");
        }
        double widest = 0;
        for (Line a : lines) {
            for (Line b : lines) {
                double apart = Math.abs(Bearing.difference(a.trueDeg, b.trueDeg));
                widest = Math.max(widest, Math.min(apart, 180 - apart));
            }
        }
        if (widest < FLATTEST_DEG) {
            throw new IllegalArgumentException("the bearings are nearly parallel, by " + Math.round(widest)
                    + " degrees; choose a place further to the side");
        }
        Spot at = start(lines);
        for (int step = 0; step < MOST_STEPS; step++) {
            RealVector move = new LUDecomposition(normal(lines, at)).getSolver().solve(gradient(lines, at));
            double length = move.getNorm();
            at = move(at, move.getEntry(0), move.getEntry(1));
            if (length < NEAR_M) {
                return judge(lines, at);
            }
            if (Bearing.between(lines.get(0).from, at).km() * 1_000 > FURTHEST_M) {
                break;
            }
        }
        throw doNotCross();
    }

    private static IllegalArgumentException doNotCross() {
        return new IllegalArgumentException("the bearings do not cross ahead of where they were taken");
    }

    /** A mast is a few kilometres along the first line to begin with: where it is nearest to the others. */
    private static Spot start(List<Line> lines) {
        Spot best = lines.get(0).from;
        double least = Double.POSITIVE_INFINITY;
        for (double m = 250; m < FURTHEST_M / 2; m *= 1.3) {
            Line first = lines.get(0);
            Spot spot = along(first.from, first.trueDeg, m);
            double off =
                    lines.stream().mapToDouble(l -> Math.pow(off(l, spot), 2)).sum();
            if (off < least) {
                least = off;
                best = spot;
            }
        }
        return best;
    }

    private static Crossing judge(List<Line> lines, Spot at) {
        boolean behind = lines.stream()
                .anyMatch(l -> Math.abs(Bearing.difference(
                                l.trueDeg, Bearing.between(l.from, at).trueDeg()))
                        > 90);
        if (behind) {
            throw doNotCross();
        }
        double sum = lines.stream().mapToDouble(l -> Math.pow(off(l, at), 2)).sum();
        int free = lines.size() - 2;
        // the bearings are at least as unsure as they say, and more so where they miss by more
        double scale = free > 0 ? Math.max(1, sum / free) : 1;
        RealMatrix covariance =
                new LUDecomposition(normal(lines, at)).getSolver().getInverse().scalarMultiply(scale);
        EigenDecompositionSymmetric axes = new EigenDecompositionSymmetric(covariance);
        RealVector longer = axes.getEigenvector(0);
        double square = lines.stream()
                .mapToDouble(l -> Math.pow(
                        Bearing.difference(
                                l.trueDeg, Bearing.between(l.from, at).trueDeg()),
                        2))
                .average()
                .orElseThrow();
        return new Crossing(
                at,
                Math.sqrt(HOLDS_95 * axes.getEigenvalue(0)),
                Math.sqrt(HOLDS_95 * axes.getEigenvalue(1)),
                Bearing.positive(Math.toDegrees(Math.atan2(longer.getEntry(0), longer.getEntry(1)))) % 180,
                Math.sqrt(square));
    }

    /** By how many of its standard deviations a bearing misses a place. */
    private static double off(Line line, Spot at) {
        return Bearing.difference(line.trueDeg, Bearing.between(line.from, at).trueDeg()) / line.sureDeg;
    }

    /** How the miss of a bearing changes per metre to the east and to the north. */
    private static double[] slope(Line line, Spot at) {
        return new double[] {
            (off(line, move(at, SLOPE_M, 0)) - off(line, at)) / SLOPE_M,
            (off(line, move(at, 0, SLOPE_M)) - off(line, at)) / SLOPE_M
        };
    }

    private static RealMatrix normal(List<Line> lines, Spot at) {
        double[][] normal = new double[2][2];
        for (Line line : lines) {
            double[] slope = slope(line, at);
            for (int i = 0; i < 2; i++) {
                for (int j = 0; j < 2; j++) {
                    normal[i][j] += slope[i] * slope[j];
                }
            }
        }
        return new Array2DRowRealMatrix(normal);
    }

    private static RealVector gradient(List<Line> lines, Spot at) {
        double[] gradient = new double[2];
        for (Line line : lines) {
            double[] slope = slope(line, at);
            double off = off(line, at);
            gradient[0] -= slope[0] * off;
            gradient[1] -= slope[1] * off;
        }
        return new ArrayRealVector(gradient);
    }

    private static Spot move(Spot from, double eastM, double northM) {
        return along(from, Math.toDegrees(Math.atan2(eastM, northM)), Math.hypot(eastM, northM));
    }

    private static Spot along(Spot from, double deg, double m) {
        GeodesicData there = Geodesic.WGS84.Direct(from.lat(), from.lon(), deg, m);
        return new Spot(there.lat2, there.lon2);
    }
}
