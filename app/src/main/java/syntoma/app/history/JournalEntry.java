package syntoma.app.history;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.OffsetDateTime;
import org.springframework.lang.Nullable;

/** One change of the log. */
@Entity
class JournalEntry {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    String kind;
    OffsetDateTime at;

    /** What was done, for a person. */
    String sentence;

    /** What undoing it needs, as JSON. */
    String detail;

    /** Null while it stands. */
    @Nullable
    OffsetDateTime undoneAt;

    protected JournalEntry() {}

    JournalEntry(String kind, OffsetDateTime at, String sentence, String detail) {
        this.kind = kind;
        this.at = at;
        this.sentence = sentence;
        this.detail = detail;
    }
}
