package syntoma.app.instrument;

import jakarta.annotation.PreDestroy;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import org.springframework.stereotype.Component;
import syntoma.app.campsite.StandingService;

/**
 * Counts what live readings move, both ways, with the headers of HTTP and without those of TCP. A router on the vehicle’s own network
 * takes nothing of a plan; one that is reached elsewhere takes of the carrier in use, and that is kept once a minute.
 */
@Component
public class LiveCount {
    private static final Duration KEPT_EVERY = Duration.ofMinutes(1);
    private static final int UNIQUE_LOCAL = 0xfc;
    private static final int UNIQUE_LOCAL_MASK = 0xfe;

    private final LiveUses uses;
    private final StandingService standing;
    private final Clock clock;

    private long withinBytes;
    private long outsideBytes;
    private OffsetDateTime keptAt;

    LiveCount(LiveUses uses, StandingService standing, Clock clock) {
        this.uses = uses;
        this.standing = standing;
        this.clock = clock;
    }

    /** Bytes were moved for a reading of a router. */
    void addMoved(String host, long bytes) {
        // a name may take long to be looked up: nobody waits for that
        boolean within = isWithin(host);
        boolean due;
        synchronized (this) {
            if (within) {
                withinBytes += bytes;
                return;
            }
            outsideBytes += bytes;
            OffsetDateTime now = OffsetDateTime.now(clock);
            keptAt = keptAt == null ? now : keptAt;
            due = Duration.between(keptAt, now).compareTo(KEPT_EVERY) >= 0;
        }
        if (due) {
            keep();
        }
    }

    /** Keeps what was counted and is not kept yet; nobody pays for it while no carrier is said to be in use. */
    @PreDestroy
    void keep() {
        long bytes;
        synchronized (this) {
            bytes = outsideBytes;
            outsideBytes = 0;
            keptAt = OffsetDateTime.now(clock);
        }
        if (bytes == 0) {
            return;
        }
        String carrier = standing.line().carrier();
        if (carrier != null) {
            uses.add(OffsetDateTime.now(clock), carrier, bytes);
        }
    }

    /** What readings of a router on the vehicle’s own network have moved since the start. */
    public synchronized long withinBytes() {
        return withinBytes;
    }

    /** Whether a host is this machine or stands on a private network (RFC 1918, RFC 3927, RFC 4193). */
    static boolean isWithin(String host) {
        try {
            InetAddress address = InetAddress.getByName(host);
            return address.isLoopbackAddress()
                    || address.isAnyLocalAddress()
                    || address.isSiteLocalAddress()
                    || address.isLinkLocalAddress()
                    || address instanceof Inet6Address && (address.getAddress()[0] & UNIQUE_LOCAL_MASK) == UNIQUE_LOCAL;
        } catch (UnknownHostException nowhere) {
            return true;
        }
    }
}
