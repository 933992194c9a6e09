package syntoma.app.rig;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.OffsetDateTime;

/** A setup's chain from a moment on. */
@Entity
class SetupRevision {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long setupId;
    int revision;
    OffsetDateTime since;
    String chain;

    protected SetupRevision() {}

    SetupRevision(Long setupId, int revision, OffsetDateTime since, String chain) {
        this.setupId = setupId;
        this.revision = revision;
        this.since = since;
        this.chain = chain;
    }
}
