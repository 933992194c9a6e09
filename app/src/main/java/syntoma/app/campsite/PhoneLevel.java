package syntoma.app.campsite;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.OffsetDateTime;

/** What a phone showed of a carrier on arrival. */
@Entity
class PhoneLevel {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long stayId;
    Long carrierId;
    boolean inside;

    /** Null where it showed no service. */
    Double levelDbm;

    OffsetDateTime notedAt;

    protected PhoneLevel() {}

    PhoneLevel(Long stayId, Long carrierId, boolean inside, Double levelDbm, OffsetDateTime notedAt) {
        this.stayId = stayId;
        this.carrierId = carrierId;
        this.inside = inside;
        this.levelDbm = levelDbm;
        this.notedAt = notedAt;
    }
}
