package syntoma.core.verdict;

import java.util.OptionalDouble;

/**
 * The effect over all differences but one, for each of them in constant time: the mean and the sum of squares about it are
 * updated by what the one contributes.
 */
final class LeaveOneOut {
    private final double[] differences;
    private final double mean;
    private final double squares;

    LeaveOneOut(double[] differences) {
        this.differences = differences;
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
        return new Effect(differences.length - 1, OptionalDouble.of(meanWithout(i)), OptionalDouble.of(sdWithout(i)));
    }

    /** The externally studentised residual of one difference: its distance from the others' mean in their own spread. */
    double studentised(int i) {
        double distance = differences[i] - meanWithout(i);
        double spread = sdWithout(i) * Math.sqrt(1 + 1.0 / (differences.length - 1));
        return Math.abs(distance) < 1e-12 ? 0 : distance / spread;
    }

    private double meanWithout(int i) {
        return mean - (differences[i] - mean) / (differences.length - 1);
    }

    private double sdWithout(int i) {
        int n = differences.length;
        double residual = differences[i] - mean;
        return Math.sqrt(Math.max(0, squares - residual * residual * n / (n - 1)) / (n - 2));
    }
}
