package syntoma.core.reply;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import syntoma.core.reading.Grade;
import syntoma.core.reading.RadioMetric;
import syntoma.core.unit.Median;

/**
 * The readings of the last minutes, the oldest first: what each cell in use says now, against what it said meanwhile.
 *
 * <pre>{@code
 * new Recent(List.of()).nrShare() // OptionalDouble.empty
 * }</pre>
 *
 * @param readings with their ages in s
 */
public record Recent(List<AgedReading> readings) {
    /** How far back the strips go, in s. */
    public static final double KEPT_S = 300;

    /** A level is averaged over this time while hands move things, in s: fading comes and goes within it. */
    public static final double STEADY_S = 3;

    /** What is older than this is none of now, in s. */
    public static final double FRESH_S = 5;

    private static final double MINUTE_S = 60;

    /** A reading of a number of seconds ago. */
    public record AgedReading(double ageS, RouterReading reading) {}

    /** A metric of a cell: its value now, and the lowest, middle and highest of the last minutes. */
    public record Strip(RadioMetric metric, double value, Grade grade, double low, double median, double high) {}

    /** A cell in use with its metrics. */
    public record CellStrips(Cell cell, List<Strip> strips) {}

    /**
     * A level of the primary cell, averaged in dB over the last seconds before it was taken.
     *
     * @param readings how many it is the mean of, all of one cell
     * @param agoS how long ago the last of them was taken, in s
     */
    public record Steady(double value, int readings, double agoS, Cell cell) {}

    public Recent {
        readings = List.copyOf(readings);
    }

    /** The cells in use as they were heard last; neighbours are not in use. */
    public List<CellStrips> cells() {
        if (readings.isEmpty()) {
            return List.of();
        }
        List<CellStrips> cells = new ArrayList<>();
        for (Cell cell : readings.get(readings.size() - 1).reading().cells()) {
            if (cell.role() != Role.NEIGHBOUR) {
                List<Strip> strips = new ArrayList<>();
                for (RadioMetric metric : List.of(RadioMetric.RSRP, RadioMetric.RSRQ, RadioMetric.SINR)) {
                    strip(cell, metric).ifPresent(strips::add);
                }
                cells.add(new CellStrips(cell, strips));
            }
        }
        return cells;
    }

    private Optional<Strip> strip(Cell cell, RadioMetric metric) {
        Optional<Double> now = cell.level(metric);
        if (now.isEmpty()) {
            return Optional.empty();
        }
        double[] all = readings.stream()
                .flatMap(h -> h.reading().cells().stream())
                .filter(c -> c.role() == cell.role() && c.band().equals(cell.band()))
                .flatMap(c -> c.level(metric).stream())
                .mapToDouble(v -> v)
                .sorted()
                .toArray();
        return Optional.of(
                new Strip(metric, now.get(), metric.grade(now.get()), all[0], Median.of(all), all[all.length - 1]));
    }

    /** The level now; empty where the last reading is none of now, or has no such metric. */
    public Optional<Steady> steady(RadioMetric metric) {
        return steadyAgo(metric, 0);
    }

    /** The level as it was a number of seconds ago; empty where nothing was heard about then. */
    public Optional<Steady> steadyAgo(RadioMetric metric, double agoS) {
        for (int i = readings.size() - 1; i >= 0; i--) {
            double ageS = readings.get(i).ageS();
            if (ageS >= agoS) {
                return ageS - agoS > FRESH_S ? Optional.empty() : steadyAt(metric, i);
            }
        }
        return Optional.empty();
    }

    /** The level after each of the readings of so many seconds, the oldest first. */
    public List<Steady> course(RadioMetric metric, double withinS) {
        return IntStream.range(0, readings.size())
                .filter(i -> readings.get(i).ageS() <= withinS)
                .mapToObj(i -> steadyAt(metric, i))
                .flatMap(Optional::stream)
                .toList();
    }

    /** The mean of the seconds up to a reading, as far as they are of its cell. */
    private Optional<Steady> steadyAt(RadioMetric metric, int last) {
        Optional<Cell> cell = primary(last);
        if (cell.flatMap(c -> c.level(metric)).isEmpty()) {
            return Optional.empty();
        }
        double endS = readings.get(last).ageS();
        double sum = 0;
        int n = 0;
        for (int i = last; i >= 0 && readings.get(i).ageS() - endS < STEADY_S; i--) {
            Optional<Double> level = primary(i).filter(cell.get()::isSame).flatMap(c -> c.level(metric));
            if (level.isPresent()) {
                sum += level.get();
                n++;
            }
        }
        return Optional.of(new Steady(sum / n, n, endS, cell.get()));
    }

    private Optional<Cell> primary(int i) {
        return readings.get(i).reading().cells().stream()
                .filter(c -> c.role() == Role.PRIMARY)
                .findFirst();
    }

    /** In which share of the last minute's readings there was an NR cell; empty where there was none in any of all. */
    public OptionalDouble nrShare() {
        List<AgedReading> minute =
                readings.stream().filter(h -> h.ageS() <= MINUTE_S).toList();
        if (minute.isEmpty() || readings.stream().noneMatch(Recent::hasNr)) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(minute.stream().filter(Recent::hasNr).count() / (double) minute.size());
    }

    private static boolean hasNr(AgedReading heard) {
        return heard.reading().cells().stream()
                .anyMatch(c -> c.role() != Role.NEIGHBOUR && c.rat().equals(Optional.of("NR")));
    }
}
