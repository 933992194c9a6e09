package syntoma.app.measurement;

import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * What is logged while an import is under way, and what that import is about to keep: neither sees the other's rows before
 * they are committed, and the same measurement must not be kept twice. All but {@link #end} are called by who
 * holds the pen.
 */
@Component
class Meanwhile {
    private volatile Import current;

    /** A measurement that came in meanwhile. */
    record LoggedMeanwhile(Long id, OffsetDateTime takenAt) {}

    /** One import, from before it looks at what is known until after its rows are there for all. */
    static final class Import {
        private final Map<Fingerprint, LoggedMeanwhile> logged = new HashMap<>();
        private FingerprintSet sealed;

        /** The measurements logged meanwhile, by what makes them the same. */
        Map<Fingerprint, LoggedMeanwhile> loggedMeanwhile() {
            return logged;
        }

        /** From here on the import's rows count as kept. */
        void seal(FingerprintSet prints) {
            sealed = prints;
        }
    }

    void begin() {
        current = new Import();
    }

    Import current() {
        return current;
    }

    void end() {
        current = null;
    }

    /** A measurement was logged under a number. */
    void noteLogged(Fingerprint print, Long id, OffsetDateTime takenAt) {
        Import running = current;
        if (running != null) {
            running.logged.put(print, new LoggedMeanwhile(id, takenAt));
        }
    }

    /** Whether an import that is being kept right now has the same measurement. */
    boolean isKept(Fingerprint print) {
        Import running = current;
        return running != null && running.sealed != null && running.sealed.contains(print.high(), print.low());
    }
}
