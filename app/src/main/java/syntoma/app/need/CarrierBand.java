package syntoma.app.need;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;

/** A band that a carrier uses in a region. */
@Entity
class CarrierBand {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long carrierId;
    String region;
    String band;

    protected CarrierBand() {}

    CarrierBand(Long carrierId, String region, String band) {
        this.carrierId = carrierId;
        this.region = region;
        this.band = band;
    }
}
