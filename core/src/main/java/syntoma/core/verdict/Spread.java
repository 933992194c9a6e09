package syntoma.core.verdict;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How the spread of paired differences is taken: never under what the figures can show, and steadied by past trials where
 * there are any.
 *
 * @param least the least standard deviation that is believed
 * @param moderatedVariance empty where the trial speaks for itself
 */
record Spread(double least, Optional<ModeratedVariance> moderatedVariance) {

    /** The effect of so many differences with their mean and the sum of squares about it. */
    Effect effect(int n, double mean, double squares) {
        if (n == 0) {
            return new Effect(0, OptionalDouble.empty(), OptionalDouble.empty(), 0);
        }
        if (n == 1) {
            return new Effect(1, OptionalDouble.of(mean), OptionalDouble.empty(), 0);
        }
        double degrees = n - 1.0;
        double sum = squares;
        if (moderatedVariance.isPresent()) {
            ModeratedVariance past = moderatedVariance.get();
            sum += past.degrees() * past.sd() * past.sd();
            degrees += past.degrees();
        }
        return new Effect(
                n, OptionalDouble.of(mean), OptionalDouble.of(Math.max(least, Math.sqrt(sum / degrees))), degrees);
    }

    /** The effect of differences. */
    Effect effect(double[] differences) {
        double sum = 0;
        for (double d : differences) {
            sum += d;
        }
        double mean = differences.length == 0 ? 0 : sum / differences.length;
        double squares = 0;
        for (double d : differences) {
            squares += (d - mean) * (d - mean);
        }
        return effect(differences.length, mean, squares);
    }
}
