package syntoma.core.verdict;

import java.util.OptionalInt;
import java.util.Random;

/**
 * How many rounds a trial wants: the smallest planned number (3 to 20) for which the chance that some look shows an
 * interval beyond no difference is at least 80 %, by simulation from a fixed seed. A standard deviation of 0.35 per round
 * wants 15 rounds for ×1.4 and 6 for ×2.
 */
public final class RoundsWanted {
    /** Chosen, because with it the chance is known to half a percent. */
    private static final int PATHS = 20_000;
    /** The usual chance that a study is planned for (Cohen 1988). */
    private static final double POWER = 0.8;

    private static final long SEED = 20_260_704L;

    // For each path and number of rounds: the mean, and the standard error, of standard normal noise.
    private static final float[][] MEAN = new float[Looks.MOST + 1][PATHS];
    private static final float[][] ERROR = new float[Looks.MOST + 1][PATHS];
    private static final double[][] CRITICAL = new double[Looks.MOST + 1][Looks.MOST + 1];

    static {
        Random random = new Random(SEED);
        for (int path = 0; path < PATHS; path++) {
            double sum = 0;
            double squares = 0;
            for (int n = 1; n <= Looks.MOST; n++) {
                double z = random.nextGaussian();
                sum += z;
                squares += z * z;
                if (n >= Looks.FEWEST) {
                    double mean = sum / n;
                    MEAN[n][path] = (float) mean;
                    ERROR[n][path] = (float) Math.sqrt((squares - n * mean * mean) / (n - 1) / n);
                }
            }
        }
        for (int planned = Looks.FEWEST; planned <= Looks.MOST; planned++) {
            for (int n = Looks.FEWEST; n <= planned; n++) {
                CRITICAL[planned][n] = Looks.critical(Looks.level(planned), n - 1.0);
            }
        }
    }

    private RoundsWanted() {}

    /**
     * Rounds to plan, or empty when more than 20 would be wanted.
     *
     * @param effect the size to be seen, on the scale of the computation
     * @param sd standard deviation of a round's difference on the same scale
     */
    public static OptionalInt planned(double effect, double sd) {
        if (sd == 0) {
            return effect == 0 ? OptionalInt.empty() : OptionalInt.of(Looks.FEWEST);
        }
        double standardised = Math.abs(effect) / sd;
        for (int planned = Looks.FEWEST; planned <= Looks.MOST; planned++) {
            if (power(standardised, planned) >= POWER) {
                return OptionalInt.of(planned);
            }
        }
        return OptionalInt.empty();
    }

    /** Rounds beyond those already made, at least one; empty when more than 20 in all would be wanted. */
    static OptionalInt further(Effect effect) {
        OptionalInt planned = planned(effect.mean().orElseThrow(), effect.sd().orElseThrow());
        if (planned.isEmpty() || effect.rounds() >= Looks.MOST) {
            return OptionalInt.empty();
        }
        return OptionalInt.of(Math.max(1, planned.getAsInt() - effect.rounds()));
    }

    static double power(double standardised, int planned) {
        int found = 0;
        for (int path = 0; path < PATHS; path++) {
            for (int n = Looks.FEWEST; n <= planned; n++) {
                if (Math.abs(standardised + MEAN[n][path]) > CRITICAL[planned][n] * ERROR[n][path]) {
                    found++;
                    break;
                }
            }
        }
        return (double) found / PATHS;
    }
}
