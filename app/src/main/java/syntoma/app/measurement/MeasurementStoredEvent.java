package syntoma.app.measurement;

import java.time.OffsetDateTime;
import org.springframework.lang.Nullable;

/** One measurement was logged, by hand or by a run; by the names under which it was. */
public record MeasurementStoredEvent(
        String campsite, String setup, @Nullable String carrier, @Nullable String trial, OffsetDateTime takenAt) {}
