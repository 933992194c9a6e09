package syntoma.core.need;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import syntoma.core.reading.Figure;
import syntoma.core.unit.Values;

/**
 * Why a setup's runs miss a need.
 *
 * @param threshold the one that was missed most often; empty where the runs themselves failed more often
 * @param typical the median of the values that miss it, in the figure's unit; 0 where the runs failed
 * @param runs so many missed it
 */
public record Shortfall(Optional<Threshold> threshold, double typical, int runs) {

    /**
     * What is missed most often; empty where nothing is.
     *
     * @param values each run's figures; empty for a run that failed
     */
    public static Optional<Shortfall> of(List<Need> needs, List<Optional<Function<Figure, Optional<Double>>>> values) {
        List<Shortfall> all = new ArrayList<>();
        for (Threshold threshold : Threshold.all(needs)) {
            double[] missing = values.stream()
                    .flatMap(run -> run.flatMap(figures -> figures.apply(threshold.figure())).stream())
                    .mapToDouble(Double::doubleValue)
                    .filter(value -> !threshold.isMetBy(value))
                    .sorted()
                    .toArray();
            if (missing.length > 0) {
                double median = (missing[(missing.length - 1) / 2] + missing[missing.length / 2]) / 2;
                all.add(new Shortfall(Optional.of(threshold), median, missing.length));
            }
        }
        int failed = (int) values.stream().filter(Optional::isEmpty).count();
        if (failed > 0 && !Threshold.all(needs).isEmpty()) {
            all.add(new Shortfall(Optional.empty(), 0, failed));
        }
        return all.stream().max(Comparator.comparingInt(Shortfall::runs));
    }

    /** What fails, and by how much: “latency while uploading is what fails (259 ms, needed 250 ms)”. */
    public String sentence() {
        if (threshold.isEmpty()) {
            return runs == 1 ? "one run failed altogether" : runs + " runs failed altogether";
        }
        Threshold limit = threshold.get();
        String unit = limit.figure().measure().unit();
        int decimals = typical < 99.5 && Math.round(typical) != typical ? 1 : 0;
        return limit.figure().measure().phrase() + " is what fails (" + Values.round(typical, decimals) + " " + unit
                + ", needed " + Values.format(Math.round(limit.limit() * 10) / 10.0) + ")";
    }
}
