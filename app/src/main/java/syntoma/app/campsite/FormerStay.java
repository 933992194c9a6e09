package syntoma.app.campsite;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.OffsetDateTime;

/** The number of a stay that has become part of another: whoever asks for it gets the stay around its moment. */
@Entity
class FormerStay {
    @Id
    Long id;

    Long campsiteId;
    OffsetDateTime anchorAt;

    protected FormerStay() {}

    FormerStay(Stay gone) {
        id = gone.id;
        campsiteId = gone.campsiteId;
        anchorAt = gone.anchorAt;
    }
}
