package syntoma.app.instrument;

import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.lang.Nullable;
import syntoma.app.reference.Ladder;
import syntoma.core.reading.RadioMetric;
import syntoma.core.reply.Recent;
import syntoma.core.unit.Values;

/**
 * What the router says, drawn: the reading, and each cell in use on the scales of its metrics.
 *
 * @param levels those of the primary cell that are watched while hands move things; empty where it has none now
 * @param nrSharePct in how much of the last minute NR was there; null where it never was
 */
record LiveView(LiveReading reading, List<CellStrips> strips, List<Level> levels, @Nullable Double nrSharePct) {
    /** A cell in use with its strips. */
    record CellStrips(LiveReading.CellView cell, List<Ladder> strips) {}

    /**
     * A level of the primary cell, the mean of its last three seconds.
     *
     * @param metric its name in the API
     * @param ladder the level now, and its course over the last five minutes
     * @param readings how many it is the mean of
     * @param strongest that it has been in those minutes
     * @param strongestAgoS how long ago that was
     */
    record Level(String metric, Ladder ladder, int readings, BigDecimal strongest, double strongestAgoS) {}

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
        return new LiveView(reading, cells, gone ? List.of() : levels(recent), share);
    }

    private static Ladder strip(Recent.Strip s) {
        return Ladder.of(
                s.metric(), BigDecimal.valueOf(s.value()), new Ladder.Spread(s.low(), s.median(), s.high()), null);
    }

    /** The levels that are watched while hands move things; those that are there. */
    private static List<Level> levels(Recent recent) {
        return Stream.of(RadioMetric.RSRP, RadioMetric.SINR)
                .flatMap(metric -> recent.steady(metric).stream().map(now -> level(metric, now, recent)))
                .toList();
    }

    private static Level level(RadioMetric metric, Recent.Steady now, Recent recent) {
        List<Recent.Steady> course = recent.course(metric, Recent.KEPT_S);
        Recent.Steady best = course.stream()
                .max(Comparator.comparingDouble(Recent.Steady::value).thenComparing(s -> -s.agoS()))
                .orElse(now);
        Ladder ladder = Ladder.of(
                metric,
                Values.decimal(now.value(), 1),
                Ladder.Spread.of(
                        course.stream().mapToDouble(Recent.Steady::value).toArray()),
                null);
        return new Level(
                metric.label().toLowerCase(Locale.ROOT),
                ladder,
                now.readings(),
                Values.decimal(best.value(), 1),
                best.agoS());
    }
}
