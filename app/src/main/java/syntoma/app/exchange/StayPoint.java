package syntoma.app.exchange;

import java.math.BigDecimal;
import java.time.OffsetDateTime;
import org.springframework.lang.Nullable;

/**
 * A stay as it stands in a file of places; a campsite alone where it has no arrival.
 *
 * @param leftAt null while the vehicle is there, and where nothing is said of it
 * @param problem why it cannot be taken; null where nothing is known against it
 * @param open whether it is said that the vehicle is there still
 */
record StayPoint(
        @Nullable String campsite,
        @Nullable BigDecimal lat,
        @Nullable BigDecimal lon,
        @Nullable OffsetDateTime arrivedAt,
        @Nullable OffsetDateTime leftAt,
        boolean open,
        @Nullable String surroundings,
        @Nullable String problem) {}
