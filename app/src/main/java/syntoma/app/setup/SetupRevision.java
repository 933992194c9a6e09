package syntoma.app.setup;

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

    /** The one that follows on it. */
    SetupRevision next(OffsetDateTime from, String otherChain) {
        return new SetupRevision(setupId, revision + 1, from, otherChain);
    }
}
