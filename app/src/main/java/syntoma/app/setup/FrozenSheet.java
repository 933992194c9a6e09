package syntoma.app.setup;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.io.Serializable;

/** The sheet of a part as a revision was measured with it, where the piece on the shelf is another by now. */
@Entity
@IdClass(FrozenSheet.Key.class)
class FrozenSheet {
    @Id
    Long revisionId;

    @Id
    Long gearId;

    String sheet;

    protected FrozenSheet() {}

    FrozenSheet(Long revisionId, Long gearId, String sheet) {
        this.revisionId = revisionId;
        this.gearId = gearId;
        this.sheet = sheet;
    }

    /** A revision and a piece of gear. */
    record Key(Long revisionId, Long gearId) implements Serializable {}
}
