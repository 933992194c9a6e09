package syntoma.app.access;

import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** Codes that let a phone in without the pass phrase: each once, for five minutes. */
@Component
class Pairing {
    static final Duration LASTS = Duration.ofMinutes(5);

    /** Beyond so many the oldest go. */
    private static final int MOST = 100;

    private final WallClock clock;
    private final Map<String, Instant> untilByHash = new ConcurrentHashMap<>();

    Pairing(WallClock clock) {
        this.clock = clock;
    }

    /** A code that was just made. */
    record Code(String text, Instant until) {}

    synchronized Code make() {
        Instant now = clock.now();
        untilByHash.values().removeIf(until -> !now.isBefore(until));
        while (untilByHash.size() >= MOST) {
            untilByHash.entrySet().stream()
                    .min(Map.Entry.comparingByValue())
                    .ifPresent(oldest -> untilByHash.remove(oldest.getKey()));
        }
        Code code = new Code(Secret.code(), now.plus(LASTS));
        untilByHash.put(Secret.hash(code.text()), code.until());
        return code;
    }

    /** Whether a code lets in; from now on it does not. */
    boolean use(String typed) {
        Instant until = untilByHash.remove(Secret.hash(Secret.readCode(typed)));
        return until != null && clock.now().isBefore(until);
    }

    /** No code that is out lets anybody in any more. */
    void forgetAll() {
        untilByHash.clear();
    }
}
