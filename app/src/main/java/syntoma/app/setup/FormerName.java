package syntoma.app.setup;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** A name that a setup had before; a file that says it still means that setup. */
@Entity
@Table(name = "setup_former")
class FormerName {
    @Id
    String name;

    Long setupId;

    /** Whether it is the name that its measurements are told apart by. */
    boolean first;

    protected FormerName() {}

    FormerName(String name, Long setupId, boolean first) {
        this.name = name;
        this.setupId = setupId;
        this.first = first;
    }
}
