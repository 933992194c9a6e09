package syntoma.app.instrument;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.springframework.lang.Nullable;
import syntoma.core.run.Direction;
import syntoma.core.run.Latencies;
import syntoma.core.run.Loaded;
import syntoma.core.run.Rates;
import syntoma.core.run.RunKind;
import syntoma.core.run.RunResult;

/** What a run that goes on has found so far; written by the run, read by those who look. */
final class Progress {
    private final RunKind kind;
    private final long startNs = System.nanoTime();
    private final CountDownLatch cancelled = new CountDownLatch(1);
    private final List<Loaded.Probe> idle = new ArrayList<>();
    private final Map<Direction, Way> ways = new EnumMap<>(Direction.class);
    private RunState state = RunState.WAITING;

    /** One direction. */
    private static final class Way {
        private final double fromMs;
        private final List<Loaded.Probe> probes = new ArrayList<>();
        private List<Double> mbps = List.of();
        private long bytes;

        private Way(double fromMs) {
            this.fromMs = fromMs;
        }
    }

    /** A point of the curve, to 0.1 ms and 1 kb/s; what it does not have is null. */
    record Point(double atMs, String phase, @Nullable Double mbps, @Nullable Double latencyMs) {
        Point {
            atMs = rounded(atMs, 10);
            mbps = mbps == null ? null : rounded(mbps, 1_000);
            latencyMs = latencyMs == null ? null : rounded(latencyMs, 10);
        }

        private static Double rounded(double value, double to) {
            return Math.round(value * to) / to;
        }
    }

    Progress(RunKind kind) {
        this.kind = kind;
    }

    /** Since it was begun. */
    double atMs() {
        return (System.nanoTime() - startNs) / 1e6;
    }

    synchronized void enter(RunState next) {
        state = next;
        if (next == RunState.DOWN || next == RunState.UP) {
            ways.put(next == RunState.DOWN ? Direction.DOWN : Direction.UP, new Way(atMs()));
        }
    }

    synchronized RunState state() {
        return state;
    }

    synchronized void idle(Loaded.Probe probe) {
        idle.add(probe);
    }

    synchronized void probe(Direction direction, Loaded.Probe probe) {
        Way way = ways.get(direction);
        way.probes.add(new Loaded.Probe(probe.atMs() - way.fromMs, probe.ms()));
    }

    synchronized void sampled(Direction direction, List<Double> mbps, long bytes) {
        Way way = ways.get(direction);
        way.mbps = mbps;
        way.bytes = bytes;
    }

    synchronized Rates rates(Direction direction) {
        return new Rates(ways.get(direction).mbps);
    }

    /** The payload so far, both ways, in byte. */
    synchronized long bytes() {
        return ways.values().stream().mapToLong(w -> w.bytes).sum();
    }

    synchronized int answered() {
        return (int) idle.stream().filter(p -> !p.isLost()).count();
    }

    /** What it comes to so far. */
    synchronized RunResult result() {
        Map<Direction, Loaded> loaded = new EnumMap<>(Direction.class);
        ways.forEach((direction, way) -> loaded.put(direction, Loaded.of(new Rates(way.mbps), way.probes)));
        return RunResult.of(kind, idle, loaded);
    }

    /** The curve so far. */
    synchronized List<Point> series() {
        List<Point> points = new ArrayList<>();
        for (Loaded.Probe probe : idle) {
            if (!probe.isLost()) {
                points.add(new Point(probe.atMs(), RunState.IDLE.label(), null, probe.ms()));
            }
        }
        ways.forEach((direction, way) -> points.addAll(series(direction, way)));
        return points;
    }

    private static List<Point> series(Direction direction, Way way) {
        String phase = (direction == Direction.DOWN ? RunState.DOWN : RunState.UP).label();
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < way.mbps.size(); i++) {
            double from = i * (double) Rates.SAMPLE_MS;
            Latencies within = Loaded.latencies(way.probes.stream()
                    .filter(p -> p.atMs() >= from && p.atMs() < from + Rates.SAMPLE_MS)
                    .toList());
            points.add(new Point(
                    way.fromMs + from + Rates.SAMPLE_MS,
                    phase,
                    way.mbps.get(i),
                    within.median().isPresent() ? within.median().getAsDouble() : null));
        }
        return points;
    }

    void cancel() {
        cancelled.countDown();
    }

    boolean isCancelled() {
        return cancelled.getCount() == 0;
    }

    /** Waits, unless it is cancelled meanwhile. */
    void pause(double ms) throws InterruptedException {
        cancelled.await(Math.max(0, Math.round(ms * 1_000)), TimeUnit.MICROSECONDS);
    }
}
