package syntoma.core.verdict;

import java.util.OptionalDouble;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * Mean of paired differences with its spread by Student's t, on the scale of the computation (natural logarithm or dB).
 *
 * @param rounds number of differences
 * @param mean empty without a difference
 * @param sd standard deviation of the differences; empty under two
 * @param degrees of freedom that the standard deviation rests on
 */
record Effect(int rounds, OptionalDouble mean, OptionalDouble sd, double degrees) {

    boolean hasEnoughRounds() {
        return rounds >= InterimLooks.FEWEST;
    }

    double standardError() {
        return sd.orElseThrow() / Math.sqrt(rounds);
    }

    double low(double level) {
        return mean.orElseThrow() - half(level);
    }

    double high(double level) {
        return mean.orElseThrow() + half(level);
    }

    /** Half the width of the interval of confidence 1 − level. */
    double half(double level) {
        return InterimLooks.critical(level, degrees) * standardError();
    }

    /** Two-sided p-value of no difference. */
    double p() {
        double t = Math.abs(mean.orElseThrow()) / standardError();
        return 2 * new TDistribution(degrees).cumulativeProbability(-t);
    }
}
