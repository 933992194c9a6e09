package syntoma.app.platform;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;

/** The time. While the demo is shown it begins at the last evening of the demo log and runs on from there. */
public final class LogClock extends Clock {
    private final OffsetDateTime evening;
    private volatile Clock current;

    LogClock(OffsetDateTime evening, boolean demo) {
        this.evening = evening;
        this.current = Clock.system(ZoneId.systemDefault());
        if (demo) {
            showDemo();
        }
    }

    /** Goes to the demo's evening. */
    public void showDemo() {
        Clock here = Clock.system(evening.getOffset());
        current = Clock.offset(here, Duration.between(Instant.now(here), evening.toInstant()));
    }

    /** Goes back to the present. */
    public void showPresent() {
        current = Clock.system(ZoneId.systemDefault());
    }

    @Override
    public ZoneId getZone() {
        return current.getZone();
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return current.withZone(zone);
    }

    @Override
    public Instant instant() {
        return current.instant();
    }
}
