package syntoma.app.campsite;

import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.lang.Nullable;

/**
 * One visit, with what was logged during it.
 *
 * @param stated whether a person said when it began and ended
 * @param version of its dates
 */
public record Visit(
        long id,
        long campsiteId,
        String campsite,
        OffsetDateTime arrivedAt,
        @Nullable OffsetDateTime leftAt,
        long measurements,
        long failed,
        List<String> setups,
        boolean stated,
        int version) {}
