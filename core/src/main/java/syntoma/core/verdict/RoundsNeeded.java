package syntoma.core.verdict;

import java.util.Map;
import java.util.OptionalInt;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.IntToDoubleFunction;
import org.hipparchus.distribution.discrete.BinomialDistribution;

/**
 * How many rounds a trial needs: the smallest planned number (3 to 20) with an 80 % chance, by simulation from a fixed seed.
 * Where a difference is to be seen, the chance that some look shows an interval beyond no difference: a standard deviation of
 * 0.35 per round needs 15 rounds for ×1.4 and 6 for ×2. Whether a comparison that is under way will be settled is
 * {@link Forecast}'s.
 *
 * <pre>{@code
 * RoundsNeeded.roundsToPlan(Math.log(1.4), 0.35, 1) // 15
 * RoundsNeeded.roundsToPlan(Math.log(2), 0.35, 1)   // 6
 * }</pre>
 */
public final class RoundsNeeded {
    /** The usual chance that a study is planned for (Cohen 1988). */
    private static final double POWER = 0.8;

    /** By how many comparisons are judged together, planned rounds, and rounds made. */
    private static final Map<Integer, double[][]> CRITICAL = new ConcurrentHashMap<>();

    /** Tolerance of the search. */
    private static final double NEAR = 0.005;

    /** No size on a logarithmic or dB scale is looked for beyond so many standard deviations. */
    private static final double FURTHEST = 20;

    /** A number of usable rounds as rare as this changes no chance by a thousandth. */
    private static final double NEGLIGIBLE = 1e-4;

    private RoundsNeeded() {}

    /** The critical values where so many comparisons are judged together: Bonferroni's, as their intervals are. */
    private static double[][] critical(int family) {
        return CRITICAL.computeIfAbsent(family, comparisons -> {
            double[][] critical = new double[InterimLooks.MOST + 1][InterimLooks.MOST + 1];
            for (int planned = InterimLooks.FEWEST; planned <= InterimLooks.MOST; planned++) {
                for (int n = InterimLooks.FEWEST; n <= planned; n++) {
                    critical[planned][n] = InterimLooks.critical(InterimLooks.level(planned, 0) / comparisons, n - 1.0);
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
    public static OptionalInt roundsToPlan(double effect, double sd, int family) {
        return roundsToPlan(effect, sd, 1, family);
    }

    /**
     * The same where some rounds will tell nothing, because a run fails.
     *
     * @param usable the share of rounds that do
     */
    public static OptionalInt roundsToPlan(double effect, double sd, double usable, int family) {
        if (sd == 0) {
            return effect == 0 ? OptionalInt.empty() : OptionalInt.of(InterimLooks.FEWEST);
        }
        return fewest(rounds -> chance(effect, sd, usable, rounds, family), POWER);
    }

    /**
     * The chance that a trial of so many rounds shows a difference of a size.
     *
     * @param sd above 0
     * @param usable the share of rounds that tell something; the others are lost to failed runs
     * @param rounds 3 to 20
     */
    public static double chance(double effect, double sd, double usable, int rounds, int family) {
        double standardised = Math.abs(effect) / sd;
        if (usable == 1) {
            return power(standardised, rounds, family);
        }
        BinomialDistribution told = new BinomialDistribution(rounds, usable);
        double chance = 0;
        for (int n = InterimLooks.FEWEST; n <= rounds; n++) {
            double probability = told.probability(n);
            chance += probability < NEGLIGIBLE ? 0 : probability * power(standardised, n, family);
        }
        return chance;
    }

    /**
     * The smallest size that a trial of so many rounds shows with an 80 % chance, on the scale of the computation.
     *
     * @param sd above 0
     * @param usable the share of rounds that tell something
     * @param rounds 3 to 20
     */
    public static double smallestEffect(double sd, double usable, int rounds, int family) {
        double low = 0;
        double high = FURTHEST;
        while (high - low > NEAR) {
            double middle = (low + high) / 2;
            if (chance(middle, 1, usable, rounds, family) >= POWER) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return high * sd;
    }

    /** The fewest planned rounds with the wanted chance, which grows with them; by bisection. */
    static OptionalInt fewest(IntToDoubleFunction chance, double wanted) {
        if (chance.applyAsDouble(InterimLooks.MOST) < wanted) {
            return OptionalInt.empty();
        }
        int low = InterimLooks.FEWEST;
        int high = InterimLooks.MOST;
        while (low < high) {
            int middle = (low + high) / 2;
            if (chance.applyAsDouble(middle) >= wanted) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        return OptionalInt.of(low);
    }

    /** Whether an interval lies beyond no difference, or wholly inside the margin. */
    static boolean isSettled(double mean, double half, double inside) {
        double away = Math.abs(mean);
        return away > half || away + half < inside;
    }

    static double power(double standardised, int planned, int family) {
        double[] critical = critical(family)[planned];
        int settled = 0;
        for (int path = 0; path < NormalPaths.COUNT; path++) {
            for (int n = InterimLooks.FEWEST; n <= planned; n++) {
                double away = Math.abs(standardised + NormalPaths.MEAN[n][path]);
                if (away > critical[n] * NormalPaths.ERROR[n][path]) {
                    settled++;
                    break;
                }
            }
        }
        return (double) settled / NormalPaths.COUNT;
    }
}
