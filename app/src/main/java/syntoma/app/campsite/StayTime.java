package syntoma.app.campsite;

import java.time.OffsetDateTime;
import org.springframework.lang.Nullable;

/** When a stay was where. */
public record StayTime(long id, long campsiteId, OffsetDateTime arrivedAt, @Nullable OffsetDateTime leftAt) {
    public boolean covers(OffsetDateTime moment) {
        return !moment.isBefore(arrivedAt) && (leftAt == null || !moment.isAfter(leftAt));
    }
}
