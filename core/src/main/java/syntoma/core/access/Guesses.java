package syntoma.core.access;

import java.time.Duration;
import java.time.Instant;

/**
 * What one source has guessed lately. Ten wrong guesses are free; from then on one a minute is heard. A source that keeps
 * quiet for a quarter of an hour begins anew, which is no faster than one a minute either. Others are not slowed by it.
 *
 * @param tried guesses that were heard and not yet found right
 * @param last when the last of them was heard
 */
public record Guesses(int tried, Instant last) {
    /** A source that has not guessed. */
    public static final Guesses NONE = new Guesses(0, Instant.EPOCH);

    private static final int FREE = 10;
    private static final Duration PAUSE = Duration.ofMinutes(1);
    private static final Duration FORGOTTEN = Duration.ofMinutes(15);

    /** How long until a guess is heard; zero when it is heard now. */
    public Duration wait(Instant now) {
        if (tried < FREE || isForgotten(now)) {
            return Duration.ZERO;
        }
        Duration left = Duration.between(now, last.plus(PAUSE));
        return left.isNegative() ? Duration.ZERO : left;
    }

    /** After a guess that was heard. It counts before it is judged, so that many at once are no way around. */
    public Guesses andOne(Instant now) {
        return new Guesses(isForgotten(now) ? 1 : tried + 1, now);
    }

    /** Whether nothing of it counts any more. */
    public boolean isForgotten(Instant now) {
        return !now.isBefore(last.plus(FORGOTTEN));
    }
}
