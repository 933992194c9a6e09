package syntoma.app.instrument;

import java.time.OffsetDateTime;
import java.util.Optional;

/** What carriers’ own counters said, as a person read them. */
public interface CarrierCounters {
    /** A reading: so much of the month was used by then. */
    record Counter(OffsetDateTime readAt, double usedGb) {}

    /** The latest reading of a carrier’s counter since a moment. */
    Optional<Counter> last(String carrier, OffsetDateTime since);
}
