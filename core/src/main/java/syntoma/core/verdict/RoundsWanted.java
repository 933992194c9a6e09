package syntoma.core.verdict;

import java.util.Map;
import java.util.OptionalInt;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.IntToDoubleFunction;

/**
 * How many rounds a trial wants: the smallest planned number (3 to 20) with an 80 % chance, by simulation from a fixed seed.
 * Where a difference is to be seen, the chance that some look shows an interval beyond no difference: a standard deviation of
 * 0.35 per round wants 15 rounds for ×1.4 and 6 for ×2. Where the question is only to have it settled, an interval wholly
 * inside the margin counts as well.
 */
public final class RoundsWanted {
    /** Chosen, because with it the chance is known to half a percent. */
    private static final int PATHS = 20_000;
    /** Chosen for what is only said in words, many times in a list: the chance is known to a percent. */
    private static final int FEW_PATHS = 5_000;
    /** The usual chance that a study is planned for (Cohen 1988). */
    private static final double POWER = 0.8;

    private static final long SEED = 20_260_704L;

    // For each path and number of rounds: the sum, the mean, and the standard error, of standard normal noise.
    private static final float[][] SUM = new float[Looks.MOST + 1][PATHS];
    private static final float[][] MEAN = new float[Looks.MOST + 1][PATHS];
    private static final float[][] ERROR = new float[Looks.MOST + 1][PATHS];
    /** By how many comparisons are judged together, planned rounds, and rounds made. */
    private static final Map<Integer, double[][]> CRITICAL = new ConcurrentHashMap<>();

    /** So near a size is found. */
    private static final double NEAR = 0.005;

    /** No size on a logarithmic or dB scale is looked for beyond so many standard deviations. */
    private static final double FURTHEST = 20;

    static {
        Random random = new Random(SEED);
        for (int path = 0; path < PATHS; path++) {
            double sum = 0;
            double squares = 0;
            for (int n = 1; n <= Looks.MOST; n++) {
                double z = random.nextGaussian();
                sum += z;
                squares += z * z;
                SUM[n][path] = (float) sum;
                if (n >= Looks.FEWEST) {
                    double mean = sum / n;
                    MEAN[n][path] = (float) mean;
                    ERROR[n][path] = (float) Math.sqrt((squares - n * mean * mean) / (n - 1) / n);
                }
            }
        }
    }

    private RoundsWanted() {}

    /** The critical values where so many comparisons are judged together: Bonferroni's, as their intervals are. */
    private static double[][] critical(int family) {
        return CRITICAL.computeIfAbsent(family, comparisons -> {
            double[][] critical = new double[Looks.MOST + 1][Looks.MOST + 1];
            for (int planned = Looks.FEWEST; planned <= Looks.MOST; planned++) {
                for (int n = Looks.FEWEST; n <= planned; n++) {
                    critical[planned][n] = Looks.critical(Looks.level(planned, 0) / comparisons, n - 1.0);
                }
            }
            return critical;
        });
    }

    /**
     * Rounds to plan, or empty when more than 20 would be wanted.
     *
     * @param effect the size to be seen, on the scale of the computation
     * @param sd standard deviation of a round's difference on the same scale
     * @param family how many comparisons are judged together: k(k − 1)/2 for k setups
     */
    public static OptionalInt planned(double effect, double sd, int family) {
        if (sd == 0) {
            return effect == 0 ? OptionalInt.empty() : OptionalInt.of(Looks.FEWEST);
        }
        double standardised = Math.abs(effect) / sd;
        return fewest(rounds -> power(standardised, rounds, family));
    }

    /**
     * The chance that a trial of so many rounds shows a difference of a size.
     *
     * @param sd above 0
     * @param rounds 3 to 20
     */
    public static double chance(double effect, double sd, int rounds, int family) {
        return power(Math.abs(effect) / sd, rounds, family);
    }

    /**
     * The smallest size that a trial of so many rounds shows with an 80 % chance, on the scale of the computation.
     *
     * @param sd above 0
     * @param rounds 3 to 20
     */
    public static double seen(double sd, int rounds, int family) {
        double low = 0;
        double high = FURTHEST;
        while (high - low > NEAR) {
            double middle = (low + high) / 2;
            if (power(middle, rounds, family) >= POWER) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return high * sd;
    }

    /** The fewest planned rounds with the wanted chance, which grows with them; by bisection. */
    private static OptionalInt fewest(IntToDoubleFunction chance) {
        if (chance.applyAsDouble(Looks.MOST) < POWER) {
            return OptionalInt.empty();
        }
        int low = Looks.FEWEST;
        int high = Looks.MOST;
        while (low < high) {
            int middle = (low + high) / 2;
            if (chance.applyAsDouble(middle) >= POWER) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        return OptionalInt.of(low);
    }

    /**
     * Rounds of a new trial that would likely settle it one way or the other, or empty when more than 20 would be wanted.
     *
     * @param effect as it is seen at present
     * @param margin the difference that matters, on the scale of the computation
     */
    static OptionalInt settling(Effect effect, double margin) {
        double sd = effect.sd().orElseThrow();
        double standardised = effect.mean().orElseThrow() / sd;
        return fewest(rounds -> settled(standardised, margin / sd, rounds, 1, FEW_PATHS));
    }

    /**
     * The chance that what is left of a plan settles it, the effect and its spread being what they seem at present.
     *
     * @param left further rounds
     * @param level of each of their looks
     */
    static double chance(Effect effect, double margin, int left, double level) {
        double sd = effect.sd().orElseThrow();
        double mean = effect.mean().orElseThrow() / sd;
        double inside = margin / sd;
        int made = effect.rounds();
        double[] critical = new double[left + 1];
        for (int k = 1; k <= left; k++) {
            critical[k] = Looks.critical(level, effect.degrees() + k);
        }
        int settled = 0;
        for (int path = 0; path < FEW_PATHS; path++) {
            // in units of the spread: what is there has the variance 1, and each round to come a draw of it
            double squares = effect.degrees();
            double at = mean;
            for (int k = 1; k <= left; k++) {
                double next = mean + (SUM[k][path] - SUM[k - 1][path]);
                double moved = (next - at) / (made + k);
                squares += (next - at) * (next - at - moved);
                at += moved;
                double half = critical[k] * Math.sqrt(squares / (effect.degrees() + k) / (made + k));
                if (isSettled(at, half, inside)) {
                    settled++;
                    break;
                }
            }
        }
        return (double) settled / FEW_PATHS;
    }

    private static boolean isSettled(double mean, double half, double inside) {
        double away = Math.abs(mean);
        return away > half || away + half < inside;
    }

    private static double settled(double standardised, double inside, int planned, int family, int paths) {
        double[] critical = critical(family)[planned];
        int settled = 0;
        for (int path = 0; path < paths; path++) {
            for (int n = Looks.FEWEST; n <= planned; n++) {
                if (isSettled(standardised + MEAN[n][path], critical[n] * ERROR[n][path], inside)) {
                    settled++;
                    break;
                }
            }
        }
        return (double) settled / paths;
    }

    static double power(double standardised, int planned, int family) {
        return settled(standardised, 0, planned, family, PATHS);
    }
}
