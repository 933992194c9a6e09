package syntoma.core.verdict;

import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.OptionalDouble;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Sample;

/**
 * Plain averages and best runs over all ok runs, paired or not, in the metric's unit. Shown beneath the verdict and
 * named as such; no verdict depends on them.
 */
public record PlainAverages(
        OptionalDouble baselineMean,
        OptionalDouble candidateMean,
        OptionalDouble baselineBest,
        OptionalDouble candidateBest) {

    static PlainAverages of(Figure metric, List<Sample> samples, String baseline, String candidate) {
        DoubleSummaryStatistics ofBaseline = new DoubleSummaryStatistics();
        DoubleSummaryStatistics ofCandidate = new DoubleSummaryStatistics();
        for (Sample sample : samples) {
            boolean first = sample.setup().equals(baseline);
            if ((first || sample.setup().equals(candidate)) && sample.counts()) {
                (first ? ofBaseline : ofCandidate).accept(sample.value().getAsDouble());
            }
        }
        return new PlainAverages(
                mean(ofBaseline), mean(ofCandidate), best(metric, ofBaseline), best(metric, ofCandidate));
    }

    private static OptionalDouble mean(DoubleSummaryStatistics values) {
        return values.getCount() == 0 ? OptionalDouble.empty() : OptionalDouble.of(values.getAverage());
    }

    private static OptionalDouble best(Figure metric, DoubleSummaryStatistics values) {
        return values.getCount() == 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(metric.comparing().isHigherBetter() ? values.getMax() : values.getMin());
    }
}
