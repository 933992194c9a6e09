package syntoma.app.measurement;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;

/** A measurement that was taken out of the log, until it is put back. */
@Entity
class DeletedMeasurement extends MeasurementRow {
    @Id
    Long id;

    protected DeletedMeasurement() {}

    DeletedMeasurement(Measurement measurement) {
        super(measurement);
        this.id = measurement.id;
    }
}
