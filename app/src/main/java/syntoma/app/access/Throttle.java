package syntoma.app.access;

import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Component;
import syntoma.core.access.Guesses;

/** Slows who guesses, by the address it comes from. */
@Component
class Throttle {
    /** Beyond so many sources the one heard of longest ago is forgotten. */
    private static final int MOST_SOURCES = 10_000;

    private final WallClock clock;
    private final Map<String, Guesses> bySource = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Guesses> eldest) {
            return size() > MOST_SOURCES;
        }
    };

    Throttle(WallClock clock) {
        this.clock = clock;
    }

    /** How long a source has to wait; when not at all, its guess is counted until it turns out right. */
    synchronized Duration wait(String source) {
        Instant now = clock.now();
        Guesses guesses = bySource.getOrDefault(source, Guesses.NONE);
        Duration wait = guesses.wait(now);
        if (wait.isZero()) {
            bySource.put(source, guesses.andOne(now));
        }
        return wait;
    }

    /** Its guess was right. */
    synchronized void right(String source) {
        bySource.remove(source);
    }
}
