package syntoma.app.store;

import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;

/**
 * Who changes anything holds it, so that changes come one after the other and each sees what the last one left. It is held
 * for the change alone: never while a network is read, and not while the disk is forced.
 */
public final class Pen {
    /** Longer than any change takes; who waits longer is told that Syntoma is busy. */
    private static final long LONGEST_WAIT_S = 10;

    private final ReentrantLock lock = new ReentrantLock(true);

    void take() {
        try {
            if (!lock.tryLock(LONGEST_WAIT_S, TimeUnit.SECONDS)) {
                throw new BusyException(
                        "Syntoma is busy with another change; nothing of this was kept. Try again in a moment");
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new BusyException(
                    "Syntoma is busy with another change; nothing of this was kept. Try again in a moment");
        }
    }

    void give() {
        lock.unlock();
    }

    /** Does something while nobody else changes anything. */
    public void holding(Runnable work) {
        take();
        try {
            work.run();
        } finally {
            give();
        }
    }
}
