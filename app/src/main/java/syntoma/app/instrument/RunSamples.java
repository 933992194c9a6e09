package syntoma.app.instrument;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.lang.Nullable;
import syntoma.core.run.Direction;
import syntoma.core.run.Latencies;
import syntoma.core.run.LoadedLatency;
import syntoma.core.run.Rates;
import syntoma.core.run.RunKind;
import syntoma.core.run.RunResult;

/** What a run has taken: its samples, and the answers to short questions. */
final class RunSamples {
    private final RunKind kind;
    private final List<LoadedLatency.Probe> idle = new ArrayList<>();
    private final Map<Direction, Way> ways = new EnumMap<>(Direction.class);

    /** One direction. */
    private static final class Way {
        private final double fromMs;
        private final List<LoadedLatency.Probe> probes = new ArrayList<>();
        private List<Double> mbps = List.of();
        private long bytes;

        private Way(double fromMs) {
            this.fromMs = fromMs;
        }
    }

    /** A point of the curve, to 0.1 ms and 1 kb/s; what it does not have is null. */
    record Point(double atMs, String phase, @Nullable Double mbps, @Nullable Double latencyMs) {
        Point {
            atMs = round(atMs, 10);
            mbps = mbps == null ? null : round(mbps, 1_000);
            latencyMs = latencyMs == null ? null : round(latencyMs, 10);
        }

        private static Double round(double value, double to) {
            return Math.round(value * to) / to;
        }
    }

    RunSamples(RunKind kind) {
        this.kind = kind;
    }

    /** A direction is begun, so long after the run was. */
    void begin(Direction direction, double fromMs) {
        ways.put(direction, new Way(fromMs));
    }

    void idle(LoadedLatency.Probe probe) {
        idle.add(probe);
    }

    /** A question that was asked beside the load; its moment is since the run was begun. */
    void probe(Direction direction, LoadedLatency.Probe probe) {
        Way way = ways.get(direction);
        way.probes.add(new LoadedLatency.Probe(probe.atMs() - way.fromMs, probe.ms()));
    }

    void addSamples(Direction direction, List<Double> mbps, long bytes) {
        Way way = ways.get(direction);
        way.mbps = mbps;
        way.bytes = bytes;
    }

    Rates rates(Direction direction) {
        return new Rates(ways.get(direction).mbps);
    }

    /** The payload so far, both ways, in byte. */
    long bytes() {
        return ways.values().stream().mapToLong(w -> w.bytes).sum();
    }

    int answerCount() {
        return (int) idle.stream().filter(p -> !p.isLost()).count();
    }

    /** What it comes to so far. */
    RunResult result() {
        Map<Direction, LoadedLatency> loaded = new EnumMap<>(Direction.class);
        ways.forEach((direction, way) -> loaded.put(direction, LoadedLatency.of(new Rates(way.mbps), way.probes)));
        return RunResult.of(kind, idle, loaded);
    }

    /** The curve so far. */
    List<Point> series() {
        List<Point> points = new ArrayList<>();
        for (LoadedLatency.Probe probe : idle) {
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
            Latencies within = LoadedLatency.latencies(way.probes.stream()
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
}
