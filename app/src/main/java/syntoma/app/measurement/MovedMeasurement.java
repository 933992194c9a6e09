package syntoma.app.measurement;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.io.Serializable;
import org.springframework.lang.Nullable;

/** Under which names a measurement stood before a change moved it. */
@Entity
@IdClass(MovedMeasurement.Key.class)
class MovedMeasurement {
    @Id
    Long entryId;

    @Id
    Long measurementId;

    Long campsiteId;
    Long setupId;

    @Nullable
    Long carrierId;

    @Nullable
    String trial;

    /** The name of its trial where it was moved to. */
    @Nullable
    String trialNow;

    protected MovedMeasurement() {}

    MovedMeasurement(Long entry, Measurement row) {
        this.entryId = entry;
        this.measurementId = row.id;
        this.campsiteId = row.campsiteId;
        this.setupId = row.setupId;
        this.carrierId = row.carrierId;
        this.trial = row.trial;
    }

    /** An entry of the journal and a measurement. */
    record Key(Long entryId, Long measurementId) implements Serializable {}
}
