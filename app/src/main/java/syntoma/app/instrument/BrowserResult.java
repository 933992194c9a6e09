package syntoma.app.instrument;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.lang.Nullable;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.run.Direction;
import syntoma.core.run.LoadedLatency;
import syntoma.core.run.RunKind;
import syntoma.core.unit.Labels;
import syntoma.core.unit.Values;

/**
 * What a browser brings of a run that it has made: samples, and nothing calculated from them.
 *
 * @param ended done, cancelled, spent, hidden, stalled, refused or lost
 * @param laterMs how long after it was asked for it was begun
 * @param seconds that it took
 * @param idle questions before there was a load
 * @param down null where it was not begun
 * @param up null where it was not begun
 */
record BrowserResult(
        @Nullable String ended,
        double laterMs,
        double seconds,
        @Nullable List<LatencyProbe> idle,
        @Nullable Way down,
        @Nullable Way up) {
    private static final double LATEST_MS = 7 * 86_400_000.0;
    private static final double LONGEST_S = 120;
    private static final int MOST_SAMPLES = 400;
    private static final int MOST_ASKED = 2_000;
    private static final double FASTEST_MBPS = 100_000;
    private static final double SLOWEST_MS = 60_000;
    private static final double MOST_BYTES = 100e9;

    /**
     * A short question.
     *
     * @param atMs since the run was begun
     * @param ms what the answer took; null where there was none
     */
    record LatencyProbe(double atMs, @Nullable Double ms) {}

    /**
     * One direction.
     *
     * @param fromMs when it was begun, since the run was
     * @param mbps in samples of 250 ms
     */
    record Way(double fromMs, long bytes, @Nullable List<Double> mbps, @Nullable List<LatencyProbe> asked) {}

    /** How a run in a browser may end. */
    enum End {
        DONE(RunState.DONE, ""),
        SPENT(RunState.DONE, "the data limit was reached"),
        CANCELLED(RunState.CANCELLED, ""),
        HIDDEN(RunState.FAILED, "the page was closed during the run"),
        STALLED(RunState.FAILED, "nothing came through for 5 s"),
        REFUSED(RunState.FAILED, "the speed server refused it"),
        LOST(RunState.FAILED, "the speed server became unreachable");

        private final RunState state;
        private final String says;

        End(RunState state, String says) {
            this.state = state;
            this.says = says;
        }

        String label() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * How the run ended, by what was brought of it.
     *
     * @throws InvalidInputException naming what cannot be
     */
    RunEnd read(RunKind kind) {
        End end = InvalidInputException.naming(
                "ended", () -> Labels.find("ended", ended == null ? "" : ended, End.values(), End::label));
        within("laterMs", laterMs, LATEST_MS, "ms");
        within("seconds", seconds, LONGEST_S, "s");
        RunSamples taken = new RunSamples(kind);
        atMost("idle", idle, MOST_ASKED).forEach(asked -> taken.idle(probe("idle", asked)));
        take(taken, Direction.DOWN, "down", down);
        take(taken, Direction.UP, "up", up);
        Optional<String> why = Optional.of(end.says).filter(said -> !said.isEmpty());
        return new RunEnd(end.state, why, taken.result(), taken.bytes(), seconds, taken.series()).judge(kind);
    }

    private static void take(RunSamples taken, Direction direction, String field, @Nullable Way way) {
        if (way == null) {
            return;
        }
        taken.begin(direction, within(field + ".fromMs", way.fromMs(), LONGEST_S * 1_000, "ms"));
        for (LatencyProbe asked : atMost(field + ".asked", way.asked(), MOST_ASKED)) {
            taken.probe(direction, probe(field + ".asked", asked));
        }
        List<Double> mbps = atMost(field + ".mbps", way.mbps(), MOST_SAMPLES);
        for (Double rate : mbps) {
            within(field + ".mbps", rate == null ? Double.NaN : rate, FASTEST_MBPS, "Mb/s");
        }
        taken.addSamples(direction, mbps, (long) within(field + ".bytes", way.bytes(), MOST_BYTES, "byte"));
    }

    private static LoadedLatency.Probe probe(String field, @Nullable LatencyProbe asked) {
        if (asked == null) {
            throw new InvalidInputException(field, field + " has an empty place");
        }
        double at = within(field + ".atMs", asked.atMs(), LONGEST_S * 1_000, "ms");
        return new LoadedLatency.Probe(
                at, asked.ms() == null ? Double.NaN : within(field + ".ms", asked.ms(), SLOWEST_MS, "ms"));
    }

    private static double within(String field, double value, double most, String unit) {
        return InvalidInputException.naming(field, () -> Values.within(field, value, 0, most, unit));
    }

    private static <T> List<T> atMost(String field, @Nullable List<T> things, int most) {
        List<T> there = things == null ? List.of() : things;
        if (there.size() > most) {
            throw new InvalidInputException(
                    field, field + " has " + there.size() + " entries; allowed are up to " + most);
        }
        return there;
    }
}
