package syntoma.app.campsite;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.OffsetDateTime;

/** What a person wrote about a stay, for no other eyes: it is in no report. Belongs to the stay that covers its moment. */
@Entity
class StayNote {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long campsiteId;
    OffsetDateTime at;
    String text;

    protected StayNote() {}

    StayNote(long campsiteId, OffsetDateTime at) {
        this.campsiteId = campsiteId;
        this.at = at;
        text = "";
    }
}
