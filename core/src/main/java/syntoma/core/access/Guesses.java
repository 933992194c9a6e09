package syntoma.core.access;

import java.time.Duration;
import java.time.Instant;

/**
 * The wrong guesses of one source: a device, a network, or all of them together. So many are free; after them the wait before the next
 * doubles each time, from one minute to one hour. A source that keeps quiet for a day begins again.
 *
 * @param tried guesses that were heard and not found right since
 * @param last when the last of them was heard
 */
public record Guesses(int tried, Instant last) {
    /** A source that has not guessed. */
    public static final Guesses NONE = new Guesses(0, Instant.EPOCH);

    private static final Duration FIRST_WAIT = Duration.ofMinutes(1);
    private static final Duration LONGEST_WAIT = Duration.ofHours(1);
    private static final Duration FORGOTTEN_AFTER = Duration.ofDays(1);

    /** Doubling a minute so often passes an hour; more would only overflow. */
    private static final int MOST_DOUBLINGS = 6;

    /**
     * How long until the next guess is heard; zero when it is heard now.
     *
     * @param free how many guesses this source has before it is slowed
     */
    public Duration waitAt(Instant now, int free) {
        if (tried < free || isForgotten(now)) {
            return Duration.ZERO;
        }
        Duration wait = FIRST_WAIT.multipliedBy(1L << Math.min(tried - free, MOST_DOUBLINGS));
        Duration capped = wait.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : wait;
        Duration passed = Duration.between(last, now);
        // a clock that was set back must not lock anybody out for longer than the wait itself
        Duration left = passed.isNegative() ? capped : capped.minus(passed);
        return left.isNegative() ? Duration.ZERO : left;
    }

    /** After a guess that was heard. It counts before it is judged, so that many at once are no way around. */
    public Guesses andOne(Instant now) {
        return new Guesses(isForgotten(now) ? 1 : tried + 1, now);
    }

    /** Whether nothing of it counts any more. */
    public boolean isForgotten(Instant now) {
        return !now.isBefore(last.plus(FORGOTTEN_AFTER));
    }
}
