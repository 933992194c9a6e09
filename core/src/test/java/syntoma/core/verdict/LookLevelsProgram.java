package syntoma.core.verdict;

import java.util.Arrays;
import java.util.Random;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * Makes the table of {@link InterimLooks}: simulates trials without a difference, takes for each the smallest p-value of its
 * looks (after the third to the last round), and finds the level that 5 % of them fall below.
 *
 * <p>Where degrees of freedom are borrowed, the spread of a trial is itself drawn about the common one, as {@link ModeratedVariance}
 * takes it to be, and each look is at the steadied t.
 *
 * <p>Run {@code main} for the whole table with 400,000 trials, a few minutes; the test uses fewer.
 */
final class LookLevelsProgram {
    private LookLevelsProgram() {}

    /** The nominal levels for 3 to {@code most} planned rounds. */
    static double[] levels(int most, int borrowed, int trials, long seed) {
        TDistribution[] t = new TDistribution[most + 1];
        for (int n = 3; n <= most; n++) {
            t[n] = new TDistribution(n - 1.0 + borrowed);
        }
        Random random = new Random(seed);
        double[][] smallest = new double[most + 1][trials];
        for (int trial = 0; trial < trials; trial++) {
            double sigma = borrowed == 0 ? 1 : Math.sqrt(borrowed / chiSquared(borrowed, random));
            double sum = 0;
            double squares = 0;
            double least = 1;
            for (int n = 1; n <= most; n++) {
                double z = sigma * random.nextGaussian();
                sum += z;
                squares += z * z;
                if (n >= 3) {
                    double mean = sum / n;
                    double variance = (squares - n * mean * mean + borrowed) / (n - 1.0 + borrowed);
                    double error = Math.sqrt(variance / n);
                    least = Math.min(least, 2 * t[n].cumulativeProbability(-Math.abs(mean) / error));
                    smallest[n][trial] = least;
                }
            }
        }
        double[] levels = new double[most - 2];
        for (int planned = 3; planned <= most; planned++) {
            Arrays.sort(smallest[planned]);
            levels[planned - 3] = smallest[planned][(int) (0.05 * trials)];
        }
        return levels;
    }

    private static double chiSquared(int degrees, Random random) {
        double sum = 0;
        for (int i = 0; i < degrees; i++) {
            double z = random.nextGaussian();
            sum += z * z;
        }
        return sum;
    }

    public static void main(String[] args) {
        for (int borrowed = 0; borrowed <= (int) ModeratedVariance.MOST_DEGREES; borrowed++) {
            StringBuilder row = new StringBuilder("{");
            for (double level : levels(20, borrowed, 400_000, 1)) {
                row.append(String.format("%.4f, ", level).substring(1));
            }
            System.out.println(row.substring(0, row.length() - 2) + "},");
        }
    }
}
