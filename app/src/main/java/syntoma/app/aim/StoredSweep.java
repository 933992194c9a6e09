package syntoma.app.aim;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.OffsetDateTime;
import java.util.Optional;
import org.springframework.lang.Nullable;
import syntoma.core.aim.Spot;

/** A sweep over headings, with what was up and where it was. */
@Entity
@Table(name = "sweep")
class StoredSweep {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    @Nullable
    String campsite;

    @Nullable
    Double lat;

    @Nullable
    Double lon;

    @Nullable
    String setup;

    @Nullable
    String carrier;

    OffsetDateTime beganAt;

    protected StoredSweep() {}

    StoredSweep(OffsetDateTime beganAt) {
        this.beganAt = beganAt;
    }

    Optional<Spot> spot() {
        return lat == null || lon == null ? Optional.empty() : Optional.of(new Spot(lat, lon));
    }
}
