package syntoma.app.measurement;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import org.springframework.lang.Nullable;

/** A measurement that was taken out of the log, until it is put back. */
@Entity
class DeletedMeasurement extends MeasurementRow {
    @Id
    Long id;

    /** The entry of the journal that took it out with others; null when it was deleted by itself. */
    Long goneWith;

    protected DeletedMeasurement() {}

    /** @param goneWith null when it is deleted by itself */
    DeletedMeasurement(Measurement measurement, @Nullable Long goneWith) {
        super(measurement);
        this.id = measurement.id;
        this.goneWith = goneWith;
    }
}
