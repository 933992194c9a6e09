package syntoma.app.store;

import java.util.concurrent.atomic.AtomicLong;

/** A number that grows with each change of the store, so that a page can ask whether what it shows is of now. */
public final class Revision {
    /** Another number at each start, so that pages of before look again. */
    private final AtomicLong number = new AtomicLong(System.currentTimeMillis());

    void increment() {
        number.incrementAndGet();
    }

    /** The number of now. */
    public long number() {
        return number.get();
    }
}
