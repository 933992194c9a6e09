package syntoma.app.trial;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.OffsetDateTime;

/** A trial known before its measurements: how many rounds it was planned for. */
@Entity
class TrialPlan {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long campsiteId;
    String name;
    int plannedRounds;
    OffsetDateTime plannedAt;

    protected TrialPlan() {}

    TrialPlan(Long campsiteId, String name, int plannedRounds, OffsetDateTime plannedAt) {
        this.campsiteId = campsiteId;
        this.name = name;
        this.plannedRounds = plannedRounds;
        this.plannedAt = plannedAt;
    }
}
