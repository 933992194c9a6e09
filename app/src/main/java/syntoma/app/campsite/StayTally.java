package syntoma.app.campsite;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.io.Serializable;

/** How much was measured during one stay with one setup. */
@Entity
@IdClass(StayTally.Key.class)
class StayTally {
    @Id
    Long stayId;

    @Id
    Long setupId;

    long measured;
    long failed;

    protected StayTally() {}

    StayTally(Long stayId, Long setupId) {
        this.stayId = stayId;
        this.setupId = setupId;
    }

    /** A stay and a setup. */
    record Key(Long stayId, Long setupId) implements Serializable {}
}
