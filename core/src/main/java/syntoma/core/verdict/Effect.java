package syntoma.core.verdict;

import java.util.Arrays;
import java.util.OptionalDouble;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * Mean of paired differences with its spread by Student's t, on the scale of the computation (natural logarithm or dB).
 *
 * @param rounds number of differences
 * @param mean empty without a difference
 * @param sd standard deviation of the differences; empty under two
 */
record Effect(int rounds, OptionalDouble mean, OptionalDouble sd) {

    static Effect of(double[] differences) {
        int n = differences.length;
        if (n == 0) {
            return new Effect(0, OptionalDouble.empty(), OptionalDouble.empty());
        }
        double mean = Arrays.stream(differences).average().orElseThrow();
        if (n == 1) {
            return new Effect(1, OptionalDouble.of(mean), OptionalDouble.empty());
        }
        double squares = 0;
        for (double d : differences) {
            squares += (d - mean) * (d - mean);
        }
        return new Effect(n, OptionalDouble.of(mean), OptionalDouble.of(Math.sqrt(squares / (n - 1))));
    }

    boolean enough() {
        return rounds >= Looks.FEWEST;
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
        return Looks.critical(level, rounds - 1.0) * standardError();
    }

    /** Two-sided p-value of no difference. */
    double p() {
        double error = standardError();
        if (error == 0) {
            return mean.orElseThrow() == 0 ? 1 : 0;
        }
        double t = Math.abs(mean.orElseThrow()) / error;
        return 2 * new TDistribution(rounds - 1.0).cumulativeProbability(-t);
    }
}
