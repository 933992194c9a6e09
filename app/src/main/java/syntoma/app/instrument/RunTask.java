package syntoma.app.instrument;

import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.run.Direction;
import syntoma.core.run.LoadedLatency;
import syntoma.core.run.Pace;
import syntoma.core.run.RunKind;

/**
 * Makes one run: idle latency, then each direction loaded with short questions beside it. It ends when the rules of its kind say
 * so, when its budget is used up, when it is cancelled, or when it cannot go on.
 */
final class RunTask {
    private static final Pace PACE = Pace.USUAL;

    /** Kept in the store every second, so that a machine that loses its power knows what was used. */
    private static final int KEPT_EVERY = 4;

    private final RunKind kind;
    private final long budget;
    private final SpeedClient client;
    private final Progress progress;
    private final Runnable keep;
    private long most;

    /**
     * A run to be made.
     *
     * @param budget in byte, both ways together; {@link Long#MAX_VALUE} where none is set
     * @param keep has how far it is kept in the store
     */
    RunTask(RunKind kind, long budget, SpeedClient client, Progress progress, Runnable keep) {
        this.kind = kind;
        this.budget = budget;
        this.client = client;
        this.progress = progress;
        this.keep = keep;
    }

    /**
     * Runs it.
     *
     * @return why it ended before its time; empty where it did not
     * @throws RunFailedException when it could not go on
     */
    Optional<String> run() throws RunFailedException, InterruptedException {
        long allowed = client.greet().bytes();
        most = Math.min(budget, allowed);
        progress.enter(RunState.IDLE);
        keep.run();
        idle();
        boolean spent = false;
        for (Direction direction : Direction.values()) {
            if (progress.isCancelled()) {
                return Optional.empty();
            }
            progress.enter(direction == Direction.DOWN ? RunState.DOWN : RunState.UP);
            keep.run();
            spent |= load(direction);
        }
        if (!spent) {
            return Optional.empty();
        }
        String amount = most / 1_000_000 + " MB";
        return Optional.of(
                budget <= allowed
                        ? "the budget of " + amount + " was used up"
                        : "the speed server allows " + amount + " for a run");
    }

    private void idle() throws RunFailedException, InterruptedException {
        // the first one makes the connection
        client.probe(progress.atMs());
        double from = progress.atMs();
        int lost = 0;
        while (!progress.isCancelled()) {
            double at = progress.atMs();
            boolean enough = at - from >= PACE.idleLeastMs() && progress.answerCount() >= PACE.idleAnswers();
            if (enough || at - from >= PACE.idleMostMs()) {
                return;
            }
            LoadedLatency.Probe probe = client.probe(at);
            progress.idle(probe);
            lost = probe.isLost() ? lost + 1 : 0;
            if (lost >= PACE.lostInRow()) {
                throw new RunFailedException("the speed server stopped answering");
            }
            progress.pause(at + PACE.askEveryMs() - progress.atMs());
        }
    }

    /** Loads a direction; whether the budget ended it. */
    private boolean load(Direction direction) throws RunFailedException, InterruptedException {
        OptionalDouble slow =
                kind.measuresRate() ? OptionalDouble.empty() : OptionalDouble.of(RunKind.SLOW_STREAM_MBPS);
        long before = progress.bytes();
        Load load = direction == Direction.DOWN
                ? new DownLoad(client, kind.streams(), most / 2, slow)
                : new UpLoad(client, kind.streams(), Math.max(1, most - before), slow);
        Thread asking = new Thread(() -> ask(direction), "speed-probes");
        asking.setDaemon(true);
        asking.start();
        try {
            return watch(direction, load);
        } finally {
            asking.interrupt();
            load.end();
            progress.addSamples(direction, load.mbps(), load.bytes());
        }
    }

    private boolean watch(Direction direction, Load load) throws RunFailedException, InterruptedException {
        double from = progress.atMs();
        long lastBytes = 0;
        int still = 0;
        for (int tick = 1; ; tick++) {
            progress.pause(from + (double) tick * PACE.sampleMs() - progress.atMs());
            if (progress.isCancelled()) {
                return false;
            }
            load.sample();
            progress.addSamples(direction, load.mbps(), load.bytes());
            if (tick % KEPT_EVERY == 0) {
                keep.run();
            }
            if (load.isSpent()) {
                return true;
            }
            Optional<String> problem = load.problem();
            if (problem.isPresent()) {
                throw new RunFailedException(problem.get());
            }
            still = load.bytes() > lastBytes ? 0 : still + 1;
            lastBytes = load.bytes();
            if (still * PACE.sampleMs() >= PACE.stalledMs()) {
                throw new RunFailedException("nothing came through for 5 s");
            }
            long atMs = (long) load.mbps().size() * PACE.sampleMs();
            if (kind.isEnough(progress.rates(direction), atMs, load.bytes()) || isLate(direction)) {
                return false;
            }
        }
    }

    /** Whether the other direction would have no time, or this one has none any more. */
    private boolean isLate(Direction direction) {
        double left = direction == Direction.DOWN ? kind.mostMs() : 0;
        return progress.atMs() > PACE.longestMs() - left;
    }

    private void ask(Direction direction) {
        try {
            while (!Thread.currentThread().isInterrupted()) {
                double at = progress.atMs();
                LoadedLatency.Probe probe = client.probe(at);
                if (!Thread.currentThread().isInterrupted()) {
                    progress.probe(direction, probe);
                }
                Thread.sleep(Math.max(1, Math.round(at + PACE.askEveryMs() - progress.atMs())));
            }
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
        }
    }
}
