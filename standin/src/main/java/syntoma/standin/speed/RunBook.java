package syntoma.standin.speed;

import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Pattern;

/** The runs that are going on, and what each has taken of what is allowed. */
final class RunBook {
    private static final Pattern ID = Pattern.compile("[A-Za-z0-9-]{8,64}");
    private static final Duration FORGOTTEN_AFTER = Duration.ofSeconds(4);

    private final Limits limits;
    private final Map<String, Run> runs = new ConcurrentHashMap<>();

    RunBook(Limits limits) {
        this.limits = limits;
    }

    /** A run of a name that a client has chosen; empty where there are too many already. */
    synchronized Optional<Run> open(String id) {
        runs.values().removeIf(Run::isOver);
        if (!runs.containsKey(id) && runs.size() >= limits.runs()) {
            return Optional.empty();
        }
        return Optional.of(runs.computeIfAbsent(id, name -> new Run()));
    }

    static boolean isName(String id) {
        return id != null && ID.matcher(id).matches();
    }

    /** One run. */
    final class Run {
        private final long startNs = System.nanoTime();
        private final AtomicLong taken = new AtomicLong();
        private final AtomicLong received = new AtomicLong();
        private final AtomicInteger streams = new AtomicInteger();
        private volatile long lastNs = System.nanoTime();

        /** A stream of it begins. */
        void begin() {
            streams.incrementAndGet();
        }

        /** A stream of it has ended. */
        void end() {
            lastNs = System.nanoTime();
            streams.decrementAndGet();
        }

        /** Counts bytes, and says whether more are allowed. */
        boolean count(int bytes, boolean came) {
            lastNs = System.nanoTime();
            if (came) {
                received.addAndGet(bytes);
            }
            return taken.addAndGet(bytes) < limits.bytes()
                    && ageNs() < limits.time().toNanos();
        }

        /** Whether it may go on. */
        boolean mayGoOn() {
            return taken.get() < limits.bytes() && ageNs() < limits.time().toNanos();
        }

        long received() {
            return received.get();
        }

        long ageNs() {
            return System.nanoTime() - startNs;
        }

        private boolean isOver() {
            return streams.get() <= 0 && System.nanoTime() - lastNs > FORGOTTEN_AFTER.toNanos();
        }
    }
}
