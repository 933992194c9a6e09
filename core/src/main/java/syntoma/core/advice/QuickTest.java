package syntoma.core.advice;

import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * A test that would likely settle which option to take.
 *
 * @param of the option to measure
 * @param against what it is compared with: the first, or the second where the first is tested
 * @param gain by how much the chance of the one that is taken then rises on average, 0 to 1
 */
public record QuickTest(AdvisedOption of, AdvisedOption against, double gain) {
    /** Under so much it is not worth the minutes: less than what counts as equal. Chosen. */
    private static final double WORTH = 0.04;

    /** Longer than that is no quick test. */
    private static final double MOST_MINUTES = 15;

    private static final int RUNS = 3;
    private static final int OUTCOMES = 15;
    private static final double[] OUTCOME = outcomes();

    private static double[] outcomes() {
        NormalDistribution standard = new NormalDistribution(0, 1);
        return IntStream.range(0, OUTCOMES)
                .mapToDouble(i -> standard.inverseCumulativeProbability((i + 0.5) / OUTCOMES))
                .toArray();
    }

    /** The most telling test of the first few options; empty where none would change much. */
    public static Optional<QuickTest> of(List<AdvisedOption> ranked) {
        // a test is made now: it tells nothing certain of other hours
        if (ranked.size() < 2 || ranked.stream().anyMatch(a -> !a.hours().isNow())) {
            return Optional.empty();
        }
        AdvisedOption first = ranked.get(0);
        return ranked.stream()
                .filter(a -> a.option().minutes() <= MOST_MINUTES)
                .map(a -> {
                    AdvisedOption other = a == first ? ranked.get(1) : first;
                    double after = DoubleStream.of(OUTCOME)
                            .map(z -> Math.max(
                                    other.chance(),
                                    a.outlook()
                                            .afterRuns(z, RUNS)
                                            .chance(a.hours().requirement())))
                            .average()
                            .orElseThrow();
                    return new QuickTest(a, other, after - Math.max(a.chance(), other.chance()));
                })
                .filter(t -> t.gain >= WORTH)
                .max((a, b) -> Double.compare(a.gain, b.gain));
    }
}
