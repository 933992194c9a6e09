package syntoma.app.instrument;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import syntoma.core.run.Direction;
import syntoma.core.run.LoadedLatency;
import syntoma.core.run.Rates;
import syntoma.core.run.RunKind;
import syntoma.core.run.RunResult;

/** What a run that goes on has found so far; written by the run, read by those who look. */
final class Progress {
    private final RunSamples taken;
    private final long startNs = System.nanoTime();
    private final CountDownLatch cancelled = new CountDownLatch(1);
    private RunState state = RunState.WAITING;

    Progress(RunKind kind) {
        this.taken = new RunSamples(kind);
    }

    /** Since it was begun. */
    double atMs() {
        return (System.nanoTime() - startNs) / 1e6;
    }

    synchronized void enter(RunState next) {
        state = next;
        if (next == RunState.DOWN || next == RunState.UP) {
            taken.begin(next == RunState.DOWN ? Direction.DOWN : Direction.UP, atMs());
        }
    }

    synchronized RunState state() {
        return state;
    }

    synchronized void idle(LoadedLatency.Probe probe) {
        taken.idle(probe);
    }

    synchronized void probe(Direction direction, LoadedLatency.Probe probe) {
        taken.probe(direction, probe);
    }

    synchronized void addSamples(Direction direction, List<Double> mbps, long bytes) {
        taken.addSamples(direction, mbps, bytes);
    }

    synchronized Rates rates(Direction direction) {
        return taken.rates(direction);
    }

    /** The payload so far, both ways, in byte. */
    synchronized long bytes() {
        return taken.bytes();
    }

    synchronized int answerCount() {
        return taken.answerCount();
    }

    /** What it comes to so far. */
    synchronized RunResult result() {
        return taken.result();
    }

    /** The curve so far. */
    synchronized List<RunSamples.Point> series() {
        return taken.series();
    }

    /** How it has ended. */
    synchronized RunEnd end(RunState state, Optional<String> why) {
        return new RunEnd(state, why, taken.result(), taken.bytes(), atMs() / 1_000, taken.series());
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
