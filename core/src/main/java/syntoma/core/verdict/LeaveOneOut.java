package syntoma.core.verdict;

/**
 * The effect over all differences but one, for each of them in constant time: the mean and the sum of squares about it are
 * updated by what the one contributes.
 */
final class LeaveOneOut {
    private final double[] differences;
    private final Spread spread;
    private final double mean;
    private final double squares;

    LeaveOneOut(double[] differences, Spread spread) {
        this.differences = differences;
        this.spread = spread;
        double sum = 0;
        for (double d : differences) {
            sum += d;
        }
        mean = sum / differences.length;
        double about = 0;
        for (double d : differences) {
            about += (d - mean) * (d - mean);
        }
        squares = about;
    }

    /** The effect without one difference; of three or more. */
    Effect without(int i) {
        return spread.effect(differences.length - 1, meanWithout(i), squaresWithout(i));
    }

    /**
     * The externally studentised residual of one difference: its distance from the others' mean in their own spread, which
     * is not steadied by others' trials.
     */
    double studentised(int i) {
        int others = differences.length - 1;
        double sd = Math.max(spread.least(), Math.sqrt(squaresWithout(i) / (others - 1)));
        return (differences[i] - meanWithout(i)) / (sd * Math.sqrt(1 + 1.0 / others));
    }

    private double meanWithout(int i) {
        return mean - (differences[i] - mean) / (differences.length - 1);
    }

    private double squaresWithout(int i) {
        int n = differences.length;
        double residual = differences[i] - mean;
        return Math.max(0, squares - residual * residual * n / (n - 1));
    }
}
