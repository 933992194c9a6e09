package syntoma.app.setup;

import java.time.OffsetDateTime;
import java.util.Map;
import org.springframework.lang.Nullable;

/** What was measured with setups; answered by the log. */
public interface SetupMeasurements {
    /** How many measurements each setup has, by its number; none for those that have none. */
    Map<Long, Long> perSetup();

    /** Whether a setup has measurements, or has some that were deleted and can be put back. */
    boolean hasEver(long setup);

    /**
     * How many measurements a setup has in a stretch of time.
     *
     * @param from the first moment
     * @param before the first moment after it; null for no end
     */
    long during(long setup, OffsetDateTime from, @Nullable OffsetDateTime before);
}
