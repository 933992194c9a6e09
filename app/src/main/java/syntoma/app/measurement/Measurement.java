package syntoma.app.measurement;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;

/** A measurement in the log. */
@Entity
class Measurement extends MeasurementRow {
    @Id
    @SequenceNumber
    Long id;

    protected Measurement() {}

    Measurement(NewMeasurement m, Fingerprint print, Long campsiteId, Long setupId, Long carrierId) {
        super(m, print, campsiteId, setupId, carrierId);
    }

    /** One that was deleted, as it was. */
    Measurement(DeletedMeasurement deleted) {
        super(deleted);
        this.id = deleted.id;
    }
}
