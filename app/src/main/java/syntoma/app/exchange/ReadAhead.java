package syntoma.app.exchange;

import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.function.Supplier;
import org.springframework.lang.Nullable;

/**
 * Reads a little ahead on a thread of its own, while what was read is worked on; in order, and never more in memory than a
 * few lots. What fails there fails here, in its turn.
 */
final class ReadAhead<T> implements AutoCloseable {
    /** Chosen, because a lot is read in a few ms, which makes the handing over cost nothing. */
    private static final int LOT = 500;

    private static final int LOTS_WAITING = 4;

    private final BlockingQueue<Lot<T>> waiting = new ArrayBlockingQueue<>(LOTS_WAITING);
    private final Thread reader;
    private Iterator<T> current = List.<T>of().iterator();
    private boolean atEnd;

    /** Some of what was read, and how the reading ended where it has. */
    private record Lot<T>(List<T> read, boolean isLast, @Nullable Throwable failure) {}

    /** Begins to read; the source gives null at its end. */
    ReadAhead(Supplier<T> source) {
        reader = new Thread(() -> readAll(source), "import-reader");
        reader.setDaemon(true);
        reader.start();
    }

    private void readAll(Supplier<T> source) {
        try {
            boolean last = false;
            while (!last) {
                Lot<T> lot = lot(source);
                last = lot.isLast;
                waiting.put(lot);
            }
        } catch (InterruptedException closed) {
            Thread.currentThread().interrupt();
        }
    }

    private Lot<T> lot(Supplier<T> source) {
        List<T> read = new ArrayList<>(LOT);
        try {
            while (read.size() < LOT) {
                T next = source.get();
                if (next == null) {
                    return new Lot<>(read, true, null);
                }
                read.add(next);
            }
            return new Lot<>(read, false, null);
        } catch (RuntimeException | Error failure) {
            return new Lot<>(read, true, failure);
        }
    }

    /** The next that was read, null at the end. */
    @Nullable
    T next() throws InterruptedException {
        while (!current.hasNext() && !atEnd) {
            Lot<T> lot = waiting.take();
            current = lot.failure == null ? lot.read.iterator() : failing(lot);
            atEnd = lot.isLast;
        }
        return current.hasNext() ? current.next() : null;
    }

    /** What was read before the failure, then the failure. */
    private static <T> Iterator<T> failing(Lot<T> lot) {
        Iterator<T> read = lot.read.iterator();
        return new Iterator<>() {
            @Override
            public boolean hasNext() {
                return true;
            }

            @Override
            public T next() {
                if (read.hasNext()) {
                    return read.next();
                }
                if (lot.failure instanceof Error error) {
                    throw error;
                }
                throw (RuntimeException) lot.failure;
            }
        };
    }

    /** Ends the reading, wherever it is. */
    @Override
    public void close() {
        reader.interrupt();
        try {
            reader.join();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }
}
