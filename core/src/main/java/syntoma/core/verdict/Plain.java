package syntoma.core.verdict;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import syntoma.core.trial.Metric;
import syntoma.core.trial.Sample;

/**
 * Plain averages and best runs over all ok runs, paired or not, in the metric's unit. Shown for those who want them and
 * named as such; no verdict rests on them.
 */
public record Plain(
        OptionalDouble baselineMean,
        OptionalDouble candidateMean,
        OptionalDouble baselineBest,
        OptionalDouble candidateBest) {

    static Plain of(Metric metric, List<Sample> samples, String baseline, String candidate) {
        return new Plain(
                values(samples, baseline).average(),
                values(samples, candidate).average(),
                best(metric, samples, baseline),
                best(metric, samples, candidate));
    }

    private static OptionalDouble best(Metric metric, List<Sample> samples, String setup) {
        DoubleStream values = values(samples, setup);
        return metric.higherIsBetter() ? values.max() : values.min();
    }

    private static DoubleStream values(List<Sample> samples, String setup) {
        return samples.stream()
                .filter(s -> s.setup().equals(setup) && s.counts())
                .mapToDouble(s -> s.value().orElseThrow());
    }
}
