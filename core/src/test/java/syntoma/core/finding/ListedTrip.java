package syntoma.core.finding;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import syntoma.core.trial.Attempts;

/** A trip that is written down attempt by attempt. */
final class ListedTrip implements Trip {
    private record Row(
            double minute,
            long stay,
            int sim,
            int unit,
            int trial,
            int round,
            boolean ok,
            double value,
            double level) {}

    private final List<Row> rows = new ArrayList<>();
    private final Set<String> names = new LinkedHashSet<>();

    private int unit(String name) {
        names.add(name);
        return names().indexOf(name);
    }

    /** A run outside a trial, so many minutes after the trip began. */
    ListedTrip run(double minute, long stay, String unit, double value) {
        return at(minute, stay, unit, value, Double.NaN);
    }

    /** The same with its RSRP. */
    ListedTrip at(double minute, long stay, String unit, double value, double level) {
        return add(new Row(minute, stay, 0, unit(unit), NONE, 0, true, value, level));
    }

    /** A run that failed. */
    ListedTrip failed(double minute, long stay, String unit) {
        return add(new Row(minute, stay, 0, unit(unit), NONE, 0, false, Double.NaN, Double.NaN));
    }

    /** A run of a round of a trial. */
    ListedTrip round(double minute, long stay, int trial, int round, String unit, double value) {
        return add(new Row(minute, stay, 0, unit(unit), trial, round, true, value, Double.NaN));
    }

    private ListedTrip add(Row row) {
        rows.add(row);
        rows.sort(Comparator.comparingDouble(Row::minute));
        return this;
    }

    List<String> names() {
        return List.copyOf(names);
    }

    Finding find(Criterion criterion, String baseline) {
        return new Finder(this, criterion, names(), baseline, List.of()).find();
    }

    @Override
    public int size() {
        return rows.size();
    }

    @Override
    public long atNanos(int i) {
        return Math.round(rows.get(i).minute * 60e9);
    }

    @Override
    public long stay(int i) {
        return rows.get(i).stay;
    }

    @Override
    public int sim(int i) {
        return rows.get(i).sim;
    }

    @Override
    public int trial(int i) {
        return rows.get(i).trial == Attempts.NONE ? NONE : rows.get(i).trial;
    }

    @Override
    public int round(int i) {
        return rows.get(i).round;
    }

    @Override
    public int unit(int i) {
        return rows.get(i).unit;
    }

    @Override
    public boolean hasSucceeded(int i) {
        return rows.get(i).ok;
    }

    @Override
    public double value(int i) {
        return rows.get(i).value;
    }

    @Override
    public double levelDbm(int i) {
        return rows.get(i).level;
    }
}
