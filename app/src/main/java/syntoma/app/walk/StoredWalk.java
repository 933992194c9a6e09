package syntoma.app.walk;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.OffsetDateTime;
import org.springframework.lang.Nullable;

/** A walk, with what the standing line said when it began. */
@Entity
@Table(name = "walk")
class StoredWalk {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    @Nullable
    String campsite;

    @Nullable
    String setup;

    @Nullable
    String carrier;

    OffsetDateTime beganAt;

    /** Null while it goes on. */
    @Nullable
    OffsetDateTime endedAt;

    protected StoredWalk() {}

    StoredWalk(OffsetDateTime beganAt) {
        this.beganAt = beganAt;
    }
}
