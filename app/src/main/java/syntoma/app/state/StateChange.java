package syntoma.app.state;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.OffsetDateTime;
import org.springframework.lang.Nullable;

/** What was where after something changed it. */
@Entity
class StateChange {
    /** What changed it. */
    enum Cause {
        /** A setup was said to be in use, or was measured with. */
        USED,
        /** A step of a run sheet was done. */
        RUN_SHEET,
        /** Something was taken down before driving off. */
        LEAVING,
        /** A person said how it is. */
        CORRECTED
    }

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    OffsetDateTime changedAt;

    /** The stay that the standing line was about; null where it was about none. */
    @Nullable
    Long stayId;

    @Enumerated(EnumType.STRING)
    Cause cause;

    /** As JSON. */
    String state;

    protected StateChange() {}

    StateChange(OffsetDateTime changedAt, @Nullable Long stayId, Cause cause, String state) {
        this.changedAt = changedAt;
        this.stayId = stayId;
        this.cause = cause;
        this.state = state;
    }
}
