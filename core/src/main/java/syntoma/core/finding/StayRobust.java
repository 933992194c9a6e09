package syntoma.core.finding;

import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.EigenDecompositionSymmetric;
import org.hipparchus.linear.RealMatrix;

/**
 * Standard errors that are robust against what the blocks of a stay have in common, with the correction for few stays: the
 * bias-reduced linearisation CR2 of Bell and McCaffrey (2002), whose degrees of freedom are Satterthwaite's for each effect of
 * its own (Pustejovsky and Tipton 2018, with independent errors as the working model). Block means are removed before; they lie
 * within stays, so that the adjustment is the same with and without them.
 *
 * <p>With B = X·L for one stay, X its rows of the design and L·Lᵀ the inverse of the normal equations over its units, the adjustment
 * (I − B·Bᵀ)^(−½)·B equals B·(I − Bᵀ·B)^(−½). So nothing is larger than the units of a stay, however many blocks it has.
 */
final class StayRobust {
    /** Eigenvalues this close to 0 belong to an effect that one stay alone determines: the pseudoinverse leaves it out. */
    private static final double SINGULAR = 1e-9;

    private final RealMatrix inverse;
    private final double[] variances;
    /** Per effect, the trace of the products p_gᵀ·p_g over the stays, and what their squares need. */
    private final double[] traces;

    private final double[] ownSquares;
    private final double[][][] crossed;
    private final RealMatrix root;

    /**
     * Begins without a stay.
     *
     * @param inverse of the normal equations
     */
    StayRobust(RealMatrix inverse) {
        this.inverse = inverse;
        int effects = inverse.getRowDimension();
        root = new CholeskyDecomposition(inverse).getL();
        variances = new double[effects];
        traces = new double[effects];
        ownSquares = new double[effects];
        crossed = new double[effects][effects][effects];
    }

    /**
     * Adds a stay.
     *
     * @param columns the effects of the units that are in its blocks, without the baseline
     * @param normal its share of the normal equations, over those columns
     * @param score the sum over its rows of the design times the residual, over those columns
     */
    void add(int[] columns, double[][] normal, double[] score) {
        int k = columns.length;
        double[][] own = new double[k][k];
        for (int i = 0; i < k; i++) {
            for (int j = 0; j < k; j++) {
                own[i][j] = inverse.getEntry(columns[i], columns[j]);
            }
        }
        RealMatrix factor = new CholeskyDecomposition(new Array2DRowRealMatrix(own, false)).getL();
        RealMatrix leverage = factor.transposeMultiply(new Array2DRowRealMatrix(normal, false))
                .multiply(factor);
        RealMatrix adjust = inverseRoot(leverage);
        RealMatrix fromFactor = lowerInverse(factor);
        double[] adjusted = fromFactor
                .transposeMultiply(adjust.multiply(factor.transpose()))
                .operate(score);
        RealMatrix toDesign = fromFactor.transposeMultiply(leverage);
        RealMatrix rows = rows(columns);
        for (int effect = 0; effect < variances.length; effect++) {
            double[] column = new double[k];
            double moved = 0;
            for (int i = 0; i < k; i++) {
                column[i] = inverse.getEntry(columns[i], effect);
                moved += column[i] * adjusted[i];
            }
            variances[effect] += moved * moved;
            double[] weights = adjust.multiply(fromFactor).operate(column);
            double square = dot(weights, leverage.operate(weights));
            double[] shared = rows.preMultiply(toDesign.operate(weights));
            double within = dot(shared, shared);
            traces[effect] += square - within;
            ownSquares[effect] += (square - within) * (square - within) - within * within;
            for (int i = 0; i < shared.length; i++) {
                for (int j = 0; j < shared.length; j++) {
                    crossed[effect][i][j] += shared[i] * shared[j];
                }
            }
        }
    }

    /** The standard error of an effect. */
    double error(int effect) {
        return Math.sqrt(variances[effect]);
    }

    /** Satterthwaite's degrees of freedom of that standard error; at least 1. */
    double degrees(int effect) {
        double squares = ownSquares[effect];
        for (double[] row : crossed[effect]) {
            squares += dot(row, row);
        }
        return squares > 0 ? Math.max(1, traces[effect] * traces[effect] / squares) : 1;
    }

    private RealMatrix rows(int[] columns) {
        RealMatrix rows = new Array2DRowRealMatrix(columns.length, root.getColumnDimension());
        for (int i = 0; i < columns.length; i++) {
            rows.setRow(i, root.getRow(columns[i]));
        }
        return rows;
    }

    /** (I − W)^(−½), with the pseudoinverse where W has the eigenvalue 1. */
    private static RealMatrix inverseRoot(RealMatrix w) {
        int k = w.getRowDimension();
        double[][] rest = new double[k][k];
        for (int i = 0; i < k; i++) {
            for (int j = 0; j < k; j++) {
                // the two halves differ by rounding alone
                rest[i][j] = (i == j ? 1 : 0) - (w.getEntry(i, j) + w.getEntry(j, i)) / 2;
            }
        }
        EigenDecompositionSymmetric eigen = new EigenDecompositionSymmetric(new Array2DRowRealMatrix(rest, false));
        double[] values = eigen.getEigenvalues();
        for (int i = 0; i < k; i++) {
            values[i] = values[i] < SINGULAR ? 0 : 1 / Math.sqrt(values[i]);
        }
        RealMatrix scaled = eigen.getV().copy();
        for (int j = 0; j < k; j++) {
            for (int i = 0; i < k; i++) {
                scaled.multiplyEntry(i, j, values[j]);
            }
        }
        return scaled.multiply(eigen.getVT());
    }

    private static RealMatrix lowerInverse(RealMatrix lower) {
        int k = lower.getRowDimension();
        double[][] inverse = new double[k][k];
        for (int j = 0; j < k; j++) {
            for (int i = j; i < k; i++) {
                double sum = i == j ? 1 : 0;
                for (int m = j; m < i; m++) {
                    sum -= lower.getEntry(i, m) * inverse[m][j];
                }
                inverse[i][j] = sum / lower.getEntry(i, i);
            }
        }
        return new Array2DRowRealMatrix(inverse, false);
    }

    private static double dot(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            sum += a[i] * b[i];
        }
        return sum;
    }
}
