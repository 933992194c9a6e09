package syntoma.core.verdict;

import java.util.List;
import java.util.Optional;
import org.hipparchus.special.Gamma;

/**
 * What past trials tell of the spread within a trial. A few rounds say little of their own spread; the trials before them,
 * taken together, say more. Their variances are taken to be draws about a common one (Smyth 2004, section 6.2), which then
 * weighs like so many rounds more.
 *
 * @param trials how many past trials it rests on
 * @param degrees the weight of the common variance, in degrees of freedom; at most 10, and at most the number of past trials
 * @param sd the common standard deviation of a round's difference, on the scale of the computation
 * @param effectSd the standard deviation of the effects themselves about 0; empty under eight past trials
 */
public record ModeratedVariance(int trials, double degrees, double sd, Optional<Double> effectSd) {
    /** Fewest past trials that tell anything. */
    public static final int FEWEST = 3;

    /** Chosen, so that a trial of a dozen rounds always weighs more than the past. */
    public static final double MOST_DEGREES = 10;

    /** Fewest past trials that tell how large effects usually are. */
    private static final int FEWEST_FOR_EFFECTS = 8;

    /** Beyond this the trigamma function tells nothing apart. */
    private static final double MANY = 1e6;

    /**
     * The spread of one past trial.
     *
     * @param variance of a round's differences, above 0
     * @param degrees of freedom it rests on, at least 2
     * @param effect the mean of its differences
     */
    public record PastSpread(double variance, int degrees, double effect) {
        public PastSpread {
            if (!(variance > 0) || degrees < InterimLooks.FEWEST - 1) {
                throw new IllegalArgumentException("a past trial has the variance " + variance + " on " + degrees
                        + " degrees of freedom; needed is a variance above 0 on at least 2");
            }
        }
    }

    /** Fits the common variance and its weight; empty with fewer than three past trials. */
    public static Optional<ModeratedVariance> from(List<PastSpread> past) {
        int n = past.size();
        if (n < FEWEST) {
            return Optional.empty();
        }
        double[] e = past.stream()
                .mapToDouble(p -> Math.log(p.variance) - Gamma.digamma(p.degrees / 2.0) + Math.log(p.degrees / 2.0))
                .toArray();
        double mean = 0;
        for (double x : e) {
            mean += x / n;
        }
        double between = 0;
        for (int i = 0; i < n; i++) {
            between += (e[i] - mean) * (e[i] - mean) / (n - 1) - Gamma.trigamma(past.get(i).degrees / 2.0) / n;
        }
        // a few past trials cannot weigh more than there are of them: three unlike ones made 6.5 % false claims
        double most = Math.min(MOST_DEGREES, n);
        double half = between > 0 ? inverseTrigamma(between) : MANY;
        double log = half >= MANY ? mean : mean + Gamma.digamma(half) - Math.log(half);
        return Optional.of(new ModeratedVariance(n, Math.min(most, 2 * half), Math.exp(log / 2), effects(past)));
    }

    /** How far true effects lie from 0, by moments: what the means do beyond their own standard errors. */
    private static Optional<Double> effects(List<PastSpread> past) {
        if (past.size() < FEWEST_FOR_EFFECTS) {
            return Optional.empty();
        }
        double seen = 0;
        double errors = 0;
        for (PastSpread p : past) {
            seen += p.effect * p.effect;
            errors += p.variance / (p.degrees + 1);
        }
        // never under the error of a usual trial: effects that hide in it are not known to be nought
        return Optional.of(Math.sqrt(Math.max(seen - errors, errors) / past.size()));
    }

    /** Where the trigamma function, which falls, has a value; by bisection of the logarithm. */
    private static double inverseTrigamma(double value) {
        double low = -20;
        double high = Math.log(MANY);
        for (int i = 0; i < 80; i++) {
            double middle = (low + high) / 2;
            if (Gamma.trigamma(Math.exp(middle)) > value) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return Math.exp((low + high) / 2);
    }
}
