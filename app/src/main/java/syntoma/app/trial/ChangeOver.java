package syntoma.app.trial;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.OffsetDateTime;
import syntoma.core.state.Work;

/** What a kind of work took once. */
@Entity
class ChangeOver {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    OffsetDateTime madeAt;

    @Enumerated(EnumType.STRING)
    Work work;

    double minutes;

    protected ChangeOver() {}

    ChangeOver(OffsetDateTime madeAt, Work work, double minutes) {
        this.madeAt = madeAt;
        this.work = work;
        this.minutes = minutes;
    }
}
