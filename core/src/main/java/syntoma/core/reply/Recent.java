package syntoma.core.reply;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import syntoma.core.reading.Grade;
import syntoma.core.reading.RadioMetric;

/**
 * The readings of the last minutes, the oldest first: what each cell in use says now, against what it said meanwhile.
 *
 * @param heard with their ages in s
 */
public record Recent(List<Heard> heard) {
    /** So far back the strips go, in s. */
    public static final double KEPT_S = 300;

    private static final double MINUTE_S = 60;

    /** A reading of a number of seconds ago. */
    public record Heard(double ageS, RouterReading reading) {}

    /** A metric of a cell: its value now, and the lowest, middle and highest of the last minutes. */
    public record Strip(RadioMetric metric, double value, Grade grade, double low, double median, double high) {}

    /** A cell in use with its metrics. */
    public record CellStrips(Cell cell, List<Strip> strips) {}

    public Recent {
        heard = List.copyOf(heard);
    }

    /** The cells in use as they were heard last; neighbours are not in use. */
    public List<CellStrips> cells() {
        if (heard.isEmpty()) {
            return List.of();
        }
        List<CellStrips> cells = new ArrayList<>();
        for (Cell cell : heard.get(heard.size() - 1).reading().cells()) {
            if (cell.role() != Role.NEIGHBOUR) {
                List<Strip> strips = new ArrayList<>();
                strip(cell, RadioMetric.RSRP, Cell::rsrpDbm).ifPresent(strips::add);
                strip(cell, RadioMetric.RSRQ, Cell::rsrqDb).ifPresent(strips::add);
                strip(cell, RadioMetric.SINR, Cell::sinrDb).ifPresent(strips::add);
                cells.add(new CellStrips(cell, strips));
            }
        }
        return cells;
    }

    private Optional<Strip> strip(Cell cell, RadioMetric metric, Function<Cell, Optional<Double>> figure) {
        Optional<Double> now = figure.apply(cell);
        if (now.isEmpty()) {
            return Optional.empty();
        }
        double[] all = heard.stream()
                .flatMap(h -> h.reading().cells().stream())
                .filter(c -> c.role() == cell.role() && c.band().equals(cell.band()))
                .flatMap(c -> figure.apply(c).stream())
                .mapToDouble(v -> v)
                .sorted()
                .toArray();
        double median = (all[(all.length - 1) / 2] + all[all.length / 2]) / 2;
        return Optional.of(new Strip(metric, now.get(), metric.grade(now.get()), all[0], median, all[all.length - 1]));
    }

    /** In which share of the last minute's readings there was an NR cell; empty where there was none in any of all. */
    public OptionalDouble nrShare() {
        List<Heard> minute = heard.stream().filter(h -> h.ageS() <= MINUTE_S).toList();
        if (minute.isEmpty() || heard.stream().noneMatch(Recent::hasNr)) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(minute.stream().filter(Recent::hasNr).count() / (double) minute.size());
    }

    private static boolean hasNr(Heard heard) {
        return heard.reading().cells().stream()
                .anyMatch(c -> c.role() != Role.NEIGHBOUR && c.rat().equals(Optional.of("NR")));
    }
}
