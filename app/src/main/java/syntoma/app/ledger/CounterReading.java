package syntoma.app.ledger;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.OffsetDateTime;
import org.springframework.lang.Nullable;

/** What a carrier's own counter said was used since the month of the plan began. */
@Entity
class CounterReading {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long gearId;
    OffsetDateTime readAt;
    double usedGb;

    @Nullable
    OffsetDateTime removedAt;

    protected CounterReading() {}

    CounterReading(long gearId, OffsetDateTime readAt, double usedGb) {
        this.gearId = gearId;
        this.readAt = readAt;
        this.usedGb = usedGb;
    }
}
