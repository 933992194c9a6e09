package syntoma.app.access;

import java.time.Instant;
import org.springframework.lang.Nullable;

/**
 * A device that has logged in, or a link that was given to a guest.
 *
 * @param hash of the word that the device has
 * @param device what it says it is
 * @param source the address it came from
 * @param page the one page that a guest may read; null for who may do everything
 * @param from when it began
 * @param seen when it was last used, to the minute
 * @param until when it ends at the latest
 */
record Session(
        String id,
        String hash,
        String device,
        String source,
        @Nullable String page,
        Instant from,
        Instant seen,
        Instant until) {
    boolean isGuest() {
        return page != null;
    }

    Session seenAt(Instant now, Instant until) {
        return new Session(id, hash, device, source, page, from, now, until);
    }
}
