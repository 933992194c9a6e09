package syntoma.app.fitout;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.OffsetDateTime;
import org.springframework.lang.Nullable;
import syntoma.app.photo.Photos;

/** A photo of one task of a build. */
@Entity
class JobPhoto {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long planId;
    String task;
    String hash;
    int widthPx;
    int heightPx;
    OffsetDateTime addedAt;

    @Nullable
    OffsetDateTime removedAt;

    protected JobPhoto() {}

    JobPhoto(long planId, String task, Photos.StoredPicture kept, OffsetDateTime addedAt) {
        this.planId = planId;
        this.task = task;
        hash = kept.hash();
        widthPx = kept.widthPx();
        heightPx = kept.heightPx();
        this.addedAt = addedAt;
    }
}
