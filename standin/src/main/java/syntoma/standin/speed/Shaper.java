package syntoma.standin.speed;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.DoubleSupplier;
import java.util.function.IntConsumer;

/**
 * One direction of a link: grants bytes to those who wait for them, in turn, no faster than the link's rate. While somebody waits
 * its queue grows, as the buffer before a bottleneck does, and everything that is asked takes longer by it.
 */
final class Shaper {
    private static final long TICK_US = 2_000;

    /** A pause of the machine shorter than this is made up for. */
    private static final double LONGEST_DEBT_S = 0.1;

    private static final int LARGEST_GRANT = 16_384;
    private static final int SMALLEST_GRANT = 64;

    /** A buffer of this size delays nothing. */
    private static final double EMPTY = 0.001;

    /** The time in which a buffer fills to two thirds, and empties. */
    private static final double FILLS_S = 0.4;

    private final DoubleSupplier mbps;
    private final ScheduledExecutorService clock;
    private final Deque<Waiting> waiting = new ArrayDeque<>();
    private long lastNs = System.nanoTime();
    private boolean ticking;
    private double credit;
    private double filled;

    Shaper(DoubleSupplier mbps, ScheduledExecutorService clock) {
        this.mbps = mbps;
        this.clock = clock;
    }

    /** Who waits for bytes, and for how many at most. */
    private record Waiting(int most, IntConsumer granted) {}

    /** Has a number of bytes granted, at most so many, when it is this one's turn. */
    synchronized void await(int most, IntConsumer granted) {
        waiting.add(new Waiting(most, granted));
        if (!ticking) {
            ticking = true;
            lastNs = System.nanoTime();
            later();
        }
    }

    /** How full the buffer is: from 0 to 1. */
    synchronized double filled() {
        return filled;
    }

    private void later() {
        clock.schedule(this::tick, TICK_US, TimeUnit.MICROSECONDS);
    }

    private void tick() {
        while (true) {
            Waiting next;
            int grant;
            synchronized (this) {
                double bytesPerS = mbps.getAsDouble() * 125_000;
                long now = System.nanoTime();
                double passed = (now - lastNs) / 1e9;
                lastNs = now;
                boolean busy = !waiting.isEmpty();
                filled += ((busy ? 1 : 0) - filled) * Math.min(1, passed / FILLS_S);
                credit = Math.min(credit + passed * bytesPerS, (busy ? LONGEST_DEBT_S : 2 * TICK_US / 1e6) * bytesPerS);
                grant = (int) Math.max(SMALLEST_GRANT, Math.min(LARGEST_GRANT, bytesPerS * 2 * TICK_US / 1e6));
                if (!busy && filled < EMPTY) {
                    ticking = false;
                    filled = 0;
                    return;
                }
                if (!busy || credit < grant) {
                    later();
                    return;
                }
                next = waiting.poll();
                grant = Math.min(grant, next.most());
                credit -= grant;
            }
            next.granted().accept(grant);
        }
    }
}
