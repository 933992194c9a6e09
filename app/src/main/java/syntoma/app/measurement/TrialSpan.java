package syntoma.app.measurement;

import java.time.OffsetDateTime;

/** A trial as the measurements tell it. */
public record TrialSpan(
        long campsiteId,
        String campsite,
        String name,
        OffsetDateTime from,
        OffsetDateTime to,
        long rounds,
        long setups) {}
