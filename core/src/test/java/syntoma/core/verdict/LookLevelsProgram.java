package syntoma.core.verdict;

import java.util.Arrays;
import java.util.Random;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * Makes the table of {@link Looks}: simulates trials without a difference, takes for each the smallest p-value of its
 * looks (after the third to the last round), and finds the level that 5 % of them fall below.
 *
 * <p>Run {@code main} for the whole table with 400,000 trials; the test uses fewer.
 */
final class LookLevelsProgram {
    private LookLevelsProgram() {}

    /** The nominal level for a planned number of rounds. */
    static double level(int planned, int trials, long seed) {
        TDistribution[] t = new TDistribution[planned + 1];
        for (int n = 3; n <= planned; n++) {
            t[n] = new TDistribution(n - 1.0);
        }
        Random random = new Random(seed);
        double[] smallest = new double[trials];
        for (int trial = 0; trial < trials; trial++) {
            double sum = 0;
            double squares = 0;
            double least = 1;
            for (int n = 1; n <= planned; n++) {
                double z = random.nextGaussian();
                sum += z;
                squares += z * z;
                if (n >= 3) {
                    double mean = sum / n;
                    double error = Math.sqrt((squares - n * mean * mean) / (n - 1) / n);
                    least = Math.min(least, 2 * t[n].cumulativeProbability(-Math.abs(mean) / error));
                }
            }
            smallest[trial] = least;
        }
        Arrays.sort(smallest);
        return smallest[(int) (0.05 * trials)];
    }

    public static void main(String[] args) {
        for (int planned = 3; planned <= 20; planned++) {
            System.out.printf("%d %.4f%n", planned, level(planned, 400_000, 1));
        }
    }
}
