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

    /** Null where it showed no service, and where bars alone were noted. */
    Double levelDbm;

    /** Bars as they were noted, which nothing is computed from; null where there was a level or no service. */
    String bars;

    OffsetDateTime notedAt;

    protected PhoneLevel() {}

    PhoneLevel(Long stayId, Long carrierId, boolean inside, Double levelDbm, String bars, OffsetDateTime notedAt) {
        this.stayId = stayId;
        this.carrierId = carrierId;
        this.inside = inside;
        this.levelDbm = levelDbm;
        this.bars = bars;
        this.notedAt = notedAt;
    }
}
