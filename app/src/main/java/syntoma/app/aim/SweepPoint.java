package syntoma.app.aim;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.OffsetDateTime;
import org.springframework.lang.Nullable;

/** A level at a true heading; one that was taken back is kept, so that it can be put back. */
@Entity
class SweepPoint {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    long sweepId;
    double headingDeg;
    double rsrpDbm;

    @Nullable
    String band;

    @Nullable
    String cellId;

    OffsetDateTime takenAt;
    boolean removed;

    protected SweepPoint() {}

    SweepPoint(long sweepId, double headingDeg, double rsrpDbm, OffsetDateTime takenAt) {
        this.sweepId = sweepId;
        this.headingDeg = headingDeg;
        this.rsrpDbm = rsrpDbm;
        this.takenAt = takenAt;
    }
}
