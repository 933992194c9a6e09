package syntoma.app.advice;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.OffsetDateTime;
import syntoma.core.advice.DayPart;

/** Advice that was followed: what it said, and what came of it where a person said so. */
@Entity
class FollowedAdvice {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    OffsetDateTime givenAt;
    Long campsiteId;
    Long setupId;
    Long carrierId;

    /** The names of the needs it was for. */
    String needs;

    /** The part of the day that the chance is of: only runs in it tell whether it came true; null where it is of now. */
    @Enumerated(EnumType.STRING)
    DayPart part;

    Double askedDownMbps;
    Double askedUpMbps;
    Double askedLoadedMs;
    Double askedLossPct;
    double chance;
    double downMbps;
    double upMbps;

    /** Whether it did, as a person said; null while nobody has. */
    Boolean answered;

    protected FollowedAdvice() {}

    FollowedAdvice(OffsetDateTime givenAt, Long campsiteId, Long setupId, Long carrierId) {
        this.givenAt = givenAt;
        this.campsiteId = campsiteId;
        this.setupId = setupId;
        this.carrierId = carrierId;
    }
}
