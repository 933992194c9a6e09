package syntoma.app.campsite;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.OffsetDateTime;
import org.springframework.lang.Nullable;
import syntoma.app.photo.Photos;

/** A photo of a stay, for no other eyes. Belongs to the stay that covers its moment. */
@Entity
class StayPhoto {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long campsiteId;
    OffsetDateTime at;
    String hash;
    int widthPx;
    int heightPx;

    @Nullable
    String caption;

    OffsetDateTime addedAt;

    @Nullable
    OffsetDateTime removedAt;

    protected StayPhoto() {}

    StayPhoto(long campsiteId, OffsetDateTime at, Photos.StoredPicture kept, OffsetDateTime addedAt) {
        this.campsiteId = campsiteId;
        this.at = at;
        hash = kept.hash();
        widthPx = kept.widthPx();
        heightPx = kept.heightPx();
        this.addedAt = addedAt;
    }
}
