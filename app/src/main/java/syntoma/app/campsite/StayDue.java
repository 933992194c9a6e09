package syntoma.app.campsite;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.OffsetDateTime;

/** From when to when stays still have to follow an import; the table has one row or none. */
@Entity
class StayDue {
    static final int ONLY = 1;

    @Id
    Integer id = ONLY;

    OffsetDateTime fromAt;
    OffsetDateTime toAt;

    protected StayDue() {}

    StayDue(OffsetDateTime fromAt, OffsetDateTime toAt) {
        this.fromAt = fromAt;
        this.toAt = toAt;
    }
}
