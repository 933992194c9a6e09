package syntoma.app.access;

import java.time.Instant;
import org.springframework.stereotype.Component;

/** The time by which sessions and codes end: the machine's own, also while the demo's evening is shown. */
@Component
class WallClock {
    Instant now() {
        return Instant.now();
    }
}
