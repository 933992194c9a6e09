package syntoma.app.exchange;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import org.springframework.stereotype.Component;

/** How far the imports under way are, under the name their sender chose; and where they are told to stop. */
@Component
class ImportProgress {
    private final Map<String, Run> runs = new ConcurrentHashMap<>();

    /** One import under way. */
    static final class Run implements AutoCloseable {
        private final AtomicInteger rows = new AtomicInteger();
        private final AtomicBoolean isCancelled = new AtomicBoolean();
        private final BooleanSupplier abandoned;
        private final Runnable closing;

        private Run(BooleanSupplier abandoned, Runnable closing) {
            this.abandoned = abandoned;
            this.closing = closing;
        }

        int rows() {
            return rows.get();
        }

        void row() {
            rows.incrementAndGet();
        }

        boolean isCancelled() {
            return isCancelled.get();
        }

        /** Whether nobody waits for its answer any more. */
        boolean isAbandoned() {
            return abandoned.getAsBoolean();
        }

        void cancel() {
            isCancelled.set(true);
        }

        @Override
        public void close() {
            closing.run();
        }
    }

    /** An import that nobody follows. */
    static Run unwatched() {
        return new Run(() -> false, () -> {});
    }

    Run begin(String name, BooleanSupplier abandoned) {
        Run run = new Run(abandoned, () -> runs.remove(name));
        runs.put(name, run);
        return run;
    }

    /** The import of that name, or null when none is under way. */
    Run find(String name) {
        return runs.get(name);
    }
}
