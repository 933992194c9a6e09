package syntoma.core.finding;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * The same model computed another way, as a textbook does: one column per block and one per unit, solved by QR, the sandwich of the
 * whole design over the stays. Takes what stood in blocks of two units or more that are all linked.
 */
final class Textbook {
    /** What a unit came to in a block at a stay. */
    record Cell(int block, long stay, int unit, double value) {}

    final double[] effects;
    final double[] errors;

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
        RealMatrix meat = new Array2DRowRealMatrix(columns, columns);
        for (List<Integer> rows : stays.values()) {
            RealVector score = new ArrayRealVector(columns);
            for (int row : rows) {
                score = score.add(x.getRowVector(row).mapMultiply(residuals.getEntry(row)));
            }
            meat = meat.add(score.outerProduct(score));
        }
        double g = stays.size();
        RealMatrix covariance = bread.multiply(meat).multiply(bread).scalarMultiply(g / (g - 1));
        effects = new double[units];
        errors = new double[units];
        for (int unit = 1; unit < units; unit++) {
            effects[unit] = solved.getEntry(blocks + unit - 1);
            errors[unit] = Math.sqrt(covariance.getEntry(blocks + unit - 1, blocks + unit - 1));
        }
    }
}
