package syntoma.app.fitout;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.OffsetDateTime;
import org.springframework.lang.Nullable;

/** A build as it is kept, as JSON under a name. */
@Entity
@Table(name = "roof_plan")
class KeptPlan {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    String name;
    String content;

    /** When it was deleted; it can be brought back. */
    @Nullable
    OffsetDateTime removedAt;

    protected KeptPlan() {}

    KeptPlan(String name, String content) {
        this.name = name;
        this.content = content;
    }
}
