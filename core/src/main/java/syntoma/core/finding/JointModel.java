package syntoma.core.finding;

import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.Map;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;

/**
 * value = block + unit + error by least squares after removing block means, with errors that are robust against what a stay's
 * blocks have in common ({@link StayRobust}).
 *
 * <p>A unit that no block links to the baseline, over however many others, has no estimate; what is not linked to it tells nothing
 * of it and is left out, stays included. A block of k units adds I − 11ᵀ/k to the normal equations, so that they are those of a
 * graph in which units meet: solved by Cholesky's decomposition of Hipparchus, accurate to about 1e-12 of the largest value.
 */
final class JointModel {
    private final Cells cells;
    private final int baseline;
    private final int[] columns;
    private final int[] stayOf;
    private final double[] effects;
    private final double[] errors;
    private final double[] degrees;
    private final int[] ownBlocks;
    private final int[] ownStays;
    private final int stays;

    /**
     * Fits the model.
     *
     * @param units how many units there are, numbered from 0
     */
    JointModel(Cells all, int units, int baseline) {
        this.baseline = baseline;
        Cells informative = all.informative();
        boolean[] linked = linkedToBaseline(informative, units, baseline);
        cells = informative.filter(b -> linked[informative.unit(informative.start(b))]);
        columns = new int[units];
        Arrays.fill(columns, -1);
        int count = 0;
        for (int unit = 0; unit < units; unit++) {
            if (linked[unit] && unit != baseline) {
                columns[unit] = count++;
            }
        }
        stayOf = numbered();
        ownBlocks = new int[units];
        ownStays = new int[units];
        stays = countStays(units);
        effects = new double[count];
        errors = new double[count];
        degrees = new double[count];
        if (count > 0) {
            RealMatrix inverse = solve(count);
            spread(inverse);
        }
    }

    private static boolean[] linkedToBaseline(Cells cells, int units, int baseline) {
        int[] parent = new int[units];
        for (int unit = 0; unit < units; unit++) {
            parent[unit] = unit;
        }
        for (int b = 0; b < cells.blocks(); b++) {
            int first = root(parent, cells.unit(cells.start(b)));
            for (int c = cells.start(b) + 1; c < cells.end(b); c++) {
                parent[root(parent, cells.unit(c))] = first;
            }
        }
        boolean[] linked = new boolean[units];
        for (int unit = 0; unit < units; unit++) {
            linked[unit] = root(parent, unit) == root(parent, baseline);
        }
        return linked;
    }

    private static int root(int[] parent, int unit) {
        int at = unit;
        while (parent[at] != at) {
            parent[at] = parent[parent[at]];
            at = parent[at];
        }
        return at;
    }

    /** A number of the stay of each block, from 0; the stays of blocks that follow each other are mostly the same. */
    private int[] numbered() {
        Map<Long, Integer> numbers = new HashMap<>();
        int[] own = new int[cells.blocks()];
        for (int b = 0; b < own.length; b++) {
            own[b] = b > 0 && cells.stay(b) == cells.stay(b - 1)
                    ? own[b - 1]
                    : numbers.computeIfAbsent(cells.stay(b), stay -> numbers.size());
        }
        return own;
    }

    private int countStays(int units) {
        BitSet all = new BitSet();
        BitSet[] own = new BitSet[units];
        Arrays.setAll(own, unit -> new BitSet());
        for (int b = 0; b < cells.blocks(); b++) {
            all.set(stayOf[b]);
            for (int c = cells.start(b); c < cells.end(b); c++) {
                ownBlocks[cells.unit(c)]++;
                own[cells.unit(c)].set(stayOf[b]);
            }
        }
        for (int unit = 0; unit < units; unit++) {
            ownStays[unit] = own[unit].cardinality();
        }
        return all.cardinality();
    }

    /** Finds the effects; returns the inverse of the normal equations. */
    private RealMatrix solve(int count) {
        double[][] normal = new double[count][count];
        double[] right = new double[count];
        for (int b = 0; b < cells.blocks(); b++) {
            double share = 1.0 / (cells.end(b) - cells.start(b));
            double mean = mean(b);
            for (int c = cells.start(b); c < cells.end(b); c++) {
                int row = columns[cells.unit(c)];
                if (row < 0) {
                    continue;
                }
                right[row] += cells.value(c) - mean;
                normal[row][row] += 1;
                for (int d = cells.start(b); d < cells.end(b); d++) {
                    int column = columns[cells.unit(d)];
                    if (column >= 0) {
                        normal[row][column] -= share;
                    }
                }
            }
        }
        RealMatrix inverse = new CholeskyDecomposition(new Array2DRowRealMatrix(normal, false))
                .getSolver()
                .getInverse();
        double[] solved = inverse.operate(new ArrayRealVector(right, false)).toArray();
        System.arraycopy(solved, 0, effects, 0, count);
        return inverse;
    }

    private double mean(int block) {
        double sum = 0;
        for (int c = cells.start(block); c < cells.end(block); c++) {
            sum += cells.value(c);
        }
        return sum / (cells.end(block) - cells.start(block));
    }

    /** Adds stay after stay to the standard errors. */
    private void spread(RealMatrix inverse) {
        if (stays < 2) {
            Arrays.fill(errors, Double.NaN);
            Arrays.fill(degrees, 1);
            return;
        }
        StayRobust robust = new StayRobust(inverse);
        int[] order = byStay();
        int[] place = new int[errors.length];
        int from = 0;
        while (from < order.length) {
            int to = from;
            BitSet there = new BitSet();
            while (to < order.length && stayOf[order[to]] == stayOf[order[from]]) {
                for (int c = cells.start(order[to]); c < cells.end(order[to]); c++) {
                    if (columns[cells.unit(c)] >= 0) {
                        there.set(columns[cells.unit(c)]);
                    }
                }
                to++;
            }
            int[] own = there.stream().toArray();
            for (int k = 0; k < own.length; k++) {
                place[own[k]] = k;
            }
            double[][] normal = new double[own.length][own.length];
            double[] score = new double[own.length];
            for (int k = from; k < to; k++) {
                addBlock(order[k], place, normal, score);
            }
            robust.add(own, normal, score);
            from = to;
        }
        for (int effect = 0; effect < errors.length; effect++) {
            errors[effect] = robust.error(effect);
            degrees[effect] = robust.degrees(effect);
        }
    }

    /** The blocks, those of one stay after each other. */
    private int[] byStay() {
        int[] next = new int[stays + 1];
        for (int stay : stayOf) {
            next[stay + 1]++;
        }
        for (int stay = 0; stay < stays; stay++) {
            next[stay + 1] += next[stay];
        }
        int[] order = new int[stayOf.length];
        for (int b = 0; b < order.length; b++) {
            order[next[stayOf[b]]++] = b;
        }
        return order;
    }

    /** A block’s share of the normal equations of its stay, and of the sum of its residuals. */
    private void addBlock(int block, int[] place, double[][] normal, double[] score) {
        double middle = 0;
        for (int c = cells.start(block); c < cells.end(block); c++) {
            middle += cells.value(c) - effect(cells.unit(c));
        }
        double share = 1.0 / (cells.end(block) - cells.start(block));
        for (int c = cells.start(block); c < cells.end(block); c++) {
            int column = columns[cells.unit(c)];
            if (column < 0) {
                continue;
            }
            int row = place[column];
            score[row] += cells.value(c) - effects[column] - middle * share;
            normal[row][row] += 1;
            for (int d = cells.start(block); d < cells.end(block); d++) {
                if (columns[cells.unit(d)] >= 0) {
                    normal[row][place[columns[cells.unit(d)]]] -= share;
                }
            }
        }
    }

    /** The blocks that the model rests on. */
    int blocks() {
        return cells.blocks();
    }

    /** The stays of those blocks. */
    int stays() {
        return stays;
    }

    /** Those blocks, with what each unit came to. */
    Cells cells() {
        return cells;
    }

    /** Whether a unit is linked to the baseline. */
    boolean isLinked(int unit) {
        return unit == baseline || columns[unit] >= 0;
    }

    /** In how many of the blocks a unit stands. */
    int blocksOf(int unit) {
        return ownBlocks[unit];
    }

    /** At how many of the stays a unit stands in a block. */
    int staysOf(int unit) {
        return ownStays[unit];
    }

    /** What a linked unit has more than the baseline, on the scale; 0 of the baseline. */
    double effect(int unit) {
        return unit == baseline ? 0 : effects[columns[unit]];
    }

    /** The standard error of a unit's effect; NaN under two stays. */
    double error(int unit) {
        return errors[columns[unit]];
    }

    /** The degrees of freedom of that standard error. */
    double degrees(int unit) {
        return degrees[columns[unit]];
    }
}
