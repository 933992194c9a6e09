package syntoma.app.campsite;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.PostLoad;
import java.time.OffsetDateTime;

/** One visit to a campsite. */
@Entity
class Stay {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long campsiteId;
    OffsetDateTime arrivedAt;

    /** Null while the vehicle is there. */
    OffsetDateTime leftAt;

    /** The moment by which it is known: its number always means the stay around it, however its ends move. */
    OffsetDateTime anchorAt;

    /** Said by a person; else derived from the times of the measurements. */
    boolean stated;

    protected Stay() {}

    Stay(Long campsiteId, OffsetDateTime arrivedAt, OffsetDateTime leftAt, boolean stated) {
        this.campsiteId = campsiteId;
        this.arrivedAt = arrivedAt;
        this.anchorAt = arrivedAt;
        this.leftAt = leftAt;
        this.stated = stated;
    }

    /** One from an archive of an earlier layout has none yet. */
    @PostLoad
    void anchor() {
        if (anchorAt == null) {
            anchorAt = arrivedAt;
        }
    }

    boolean covers(OffsetDateTime moment) {
        return !moment.isBefore(arrivedAt) && (leftAt == null || !moment.isAfter(leftAt));
    }
}
