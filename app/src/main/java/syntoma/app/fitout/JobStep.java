package syntoma.app.fitout;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.OffsetDateTime;
import org.springframework.lang.Nullable;

/** What was done of one task of a build. */
@Entity
class JobStep {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long planId;
    String task;

    /** When hands began with it; null where that was not said. */
    @Nullable
    OffsetDateTime begunAt;

    /** When the last look before it was ticked. */
    @Nullable
    OffsetDateTime lookedAt;

    @Nullable
    OffsetDateTime doneAt;

    @Nullable
    String note;

    /** The planned trial that is filed with it. */
    @Nullable
    Long trialPlanId;

    protected JobStep() {}

    JobStep(long planId, String task) {
        this.planId = planId;
        this.task = task;
    }
}
