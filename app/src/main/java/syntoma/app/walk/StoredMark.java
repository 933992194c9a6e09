package syntoma.app.walk;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.OffsetDateTime;
import org.springframework.lang.Nullable;

/** A level that was marked on a walk; one that was taken back is kept, so that it can be put back. */
@Entity
@Table(name = "walk_mark")
class StoredMark {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    long walkId;
    String place;
    OffsetDateTime takenAt;

    @Nullable
    Double rsrpDbm;

    @Nullable
    Double sinrDb;

    @Nullable
    String band;

    /** How many readings it is the mean of. */
    int readings;

    boolean removed;

    protected StoredMark() {}

    StoredMark(long walkId, String place, OffsetDateTime takenAt) {
        this.walkId = walkId;
        this.place = place;
        this.takenAt = takenAt;
    }
}
