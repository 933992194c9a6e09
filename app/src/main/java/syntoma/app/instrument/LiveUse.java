package syntoma.app.instrument;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.OffsetDateTime;

/** What live readings took of a carrier's plan in an hour. */
@Entity
class LiveUse {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    OffsetDateTime hourAt;
    String carrier;
    long bytes;

    protected LiveUse() {}

    LiveUse(OffsetDateTime hourAt, String carrier) {
        this.hourAt = hourAt;
        this.carrier = carrier;
    }
}
