package syntoma.app.measurement;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.io.Serializable;
import java.time.OffsetDateTime;

/** A trial that measurements name, and between which moments they lie; there may be fewer by now, or none. */
@Entity
@IdClass(KnownTrial.Key.class)
class KnownTrial {
    @Id
    Long campsiteId;

    @Id
    String name;

    OffsetDateTime firstAt;
    OffsetDateTime lastAt;

    protected KnownTrial() {}

    KnownTrial(Key key, OffsetDateTime at) {
        this.campsiteId = key.campsiteId();
        this.name = key.name();
        this.firstAt = at;
        this.lastAt = at;
    }

    /** Also lies between those moments. */
    void widen(OffsetDateTime at) {
        firstAt = at.isBefore(firstAt) ? at : firstAt;
        lastAt = at.isAfter(lastAt) ? at : lastAt;
    }

    /** A trial's name is its own within a campsite. */
    record Key(Long campsiteId, String name) implements Serializable {}
}
