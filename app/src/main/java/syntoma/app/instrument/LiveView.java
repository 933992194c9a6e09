package syntoma.app.instrument;

import java.util.Arrays;
import java.util.List;
import org.springframework.lang.Nullable;
import syntoma.core.reading.RadioMetric;
import syntoma.core.reply.Recent;

/**
 * What the router says, drawn: the reading, and each cell in use on the scales of its metrics.
 *
 * @param nrSharePct in how much of the last minute NR was there; null where it never was
 */
record LiveView(LiveReading reading, List<CellStrips> strips, @Nullable Double nrSharePct) {
    /** A cell in use with its strips. */
    record CellStrips(LiveReading.CellView cell, List<Strip> strips) {}

    /** A value on its scale, with the spread of the last five minutes and the floors of its grades. */
    record Strip(
            String label,
            String unit,
            double value,
            String grade,
            Spread spread,
            @Nullable Double usual,
            double from,
            double to,
            List<Double> floors) {}

    /** The lowest, middle and highest. */
    record Spread(double low, double median, double high) {}

    static LiveView of(LiveReading reading, Recent recent) {
        boolean gone = reading.cells().isEmpty();
        List<CellStrips> cells = gone
                ? List.of()
                : recent.cells().stream()
                        .map(c -> new CellStrips(
                                LiveReading.CellView.of(c.cell()),
                                c.strips().stream().map(LiveView::strip).toList()))
                        .toList();
        Double share = recent.nrShare().isPresent() ? 100 * recent.nrShare().getAsDouble() : null;
        return new LiveView(reading, cells, share);
    }

    private static Strip strip(Recent.Strip s) {
        RadioMetric metric = s.metric();
        double[] ends = metric.strip();
        return new Strip(
                metric.label(),
                metric.unit(),
                s.value(),
                s.grade().word(),
                new Spread(s.low(), s.median(), s.high()),
                null,
                Arrays.stream(ends).min().orElseThrow(),
                Arrays.stream(ends).max().orElseThrow(),
                metric.floors());
    }
}
