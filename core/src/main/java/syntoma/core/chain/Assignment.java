package syntoma.core.chain;

import java.util.Arrays;

/** Assigns rows to columns at the least total cost (Hungarian method with potentials, O(n²m); Kuhn 1955, Munkres 1957). */
final class Assignment {
    private Assignment() {}

    /**
     * The column of each row.
     *
     * @param cost rows × columns, at least as many columns as rows
     */
    static int[] leastCost(double[][] cost) {
        int rows = cost.length;
        int columns = rows == 0 ? 0 : cost[0].length;
        double[] rowPotential = new double[rows + 1];
        double[] columnPotential = new double[columns + 1];
        int[] rowOf = new int[columns + 1];
        for (int row = 1; row <= rows; row++) {
            int[] cameFrom = new int[columns + 1];
            double[] slack = new double[columns + 1];
            Arrays.fill(slack, Double.POSITIVE_INFINITY);
            boolean[] done = new boolean[columns + 1];
            rowOf[0] = row;
            int column = 0;
            while (rowOf[column] != 0) {
                done[column] = true;
                int next = 0;
                double least = Double.POSITIVE_INFINITY;
                for (int j = 1; j <= columns; j++) {
                    if (done[j]) {
                        continue;
                    }
                    double reduced = cost[rowOf[column] - 1][j - 1] - rowPotential[rowOf[column]] - columnPotential[j];
                    if (reduced < slack[j]) {
                        slack[j] = reduced;
                        cameFrom[j] = column;
                    }
                    if (slack[j] < least) {
                        least = slack[j];
                        next = j;
                    }
                }
                for (int j = 0; j <= columns; j++) {
                    if (done[j]) {
                        rowPotential[rowOf[j]] += least;
                        columnPotential[j] -= least;
                    } else {
                        slack[j] -= least;
                    }
                }
                column = next;
            }
            while (column != 0) {
                rowOf[column] = rowOf[cameFrom[column]];
                column = cameFrom[column];
            }
        }
        int[] columnOf = new int[rows];
        for (int j = 1; j <= columns; j++) {
            if (rowOf[j] != 0) {
                columnOf[rowOf[j] - 1] = j - 1;
            }
        }
        return columnOf;
    }
}
