package syntoma.core.finding;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.EigenDecompositionSymmetric;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * The same model computed another way, as a textbook does: one column per block and one per unit, solved by QR; CR2 and
 * Satterthwaite's degrees of freedom from the whole hat matrix, as Pustejovsky and Tipton (2018, equations 9 and 13) write them. Takes
 * what stood in blocks of two units or more that are all linked.
 */
final class Textbook {
    /** What a unit came to in a block at a stay. */
    record Cell(int block, long stay, int unit, double value) {}

    final double[] effects;
    final double[] errors;
    final double[] degrees;

    Textbook(List<Cell> cells, int blocks, int units) {
        int columns = blocks + units - 1;
        double[][] design = new double[cells.size()][columns];
        double[] y = new double[cells.size()];
        for (int i = 0; i < y.length; i++) {
            Cell cell = cells.get(i);
            y[i] = cell.value;
            design[i][cell.block] = 1;
            if (cell.unit > 0) {
                design[i][blocks + cell.unit - 1] = 1;
            }
        }
        RealMatrix x = new Array2DRowRealMatrix(design);
        RealVector solved = new QRDecomposition(x).getSolver().solve(new ArrayRealVector(y));
        RealVector residuals = new ArrayRealVector(y).subtract(x.operate(solved));
        RealMatrix bread =
                new QRDecomposition(x.transposeMultiply(x)).getSolver().getInverse();
        Map<Long, List<Integer>> stays = new HashMap<>();
        for (int i = 0; i < y.length; i++) {
            stays.computeIfAbsent(cells.get(i).stay, s -> new ArrayList<>()).add(i);
        }
        effects = new double[units];
        errors = new double[units];
        degrees = new double[units];
        RealMatrix annihilator = MatrixUtils.createRealIdentityMatrix(y.length)
                .subtract(x.multiply(bread).multiplyTransposed(x));
        for (int unit = 1; unit < units; unit++) {
            effects[unit] = solved.getEntry(blocks + unit - 1);
            RealVector weights = x.operate(bread.getColumnVector(blocks + unit - 1));
            RealMatrix p = new Array2DRowRealMatrix(y.length, stays.size());
            double variance = 0;
            int g = 0;
            for (List<Integer> rows : stays.values()) {
                int[] own = rows.stream().mapToInt(Integer::intValue).toArray();
                RealVector adjusted =
                        inverseRoot(annihilator.getSubMatrix(own, own)).operate(at(weights, own));
                double moved = adjusted.dotProduct(at(residuals, own));
                variance += moved * moved;
                RealVector whole = new ArrayRealVector(y.length);
                for (int i = 0; i < own.length; i++) {
                    whole.setEntry(own[i], adjusted.getEntry(i));
                }
                p.setColumnVector(g++, annihilator.operate(whole));
            }
            errors[unit] = Math.sqrt(variance);
            RealMatrix products = p.transposeMultiply(p);
            double squares = Math.pow(products.getFrobeniusNorm(), 2);
            degrees[unit] = Math.pow(products.getTrace(), 2) / squares;
        }
    }

    private static RealVector at(RealVector all, int[] rows) {
        RealVector some = new ArrayRealVector(rows.length);
        for (int i = 0; i < rows.length; i++) {
            some.setEntry(i, all.getEntry(rows[i]));
        }
        return some;
    }

    /** The Moore-Penrose inverse of the symmetric square root. */
    private static RealMatrix inverseRoot(RealMatrix matrix) {
        EigenDecompositionSymmetric eigen =
                new EigenDecompositionSymmetric(matrix.add(matrix.transpose()).scalarMultiply(0.5));
        double[] roots = Arrays.stream(eigen.getEigenvalues())
                .map(value -> value < 1e-9 ? 0 : 1 / Math.sqrt(value))
                .toArray();
        return eigen.getV()
                .multiply(MatrixUtils.createRealDiagonalMatrix(roots))
                .multiply(eigen.getVT());
    }
}
