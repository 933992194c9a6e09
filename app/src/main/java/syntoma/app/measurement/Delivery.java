package syntoma.app.measurement;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.OffsetDateTime;

/** A measurement that came under a key of the device that sent it. */
@Entity
class Delivery {
    @Id
    String sentKey;

    String print;

    long measurementId;

    OffsetDateTime at;

    protected Delivery() {}

    Delivery(String sentKey, String print, long measurementId, OffsetDateTime at) {
        this.sentKey = sentKey;
        this.print = print;
        this.measurementId = measurementId;
        this.at = at;
    }
}
