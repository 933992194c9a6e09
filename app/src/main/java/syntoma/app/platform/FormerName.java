package syntoma.app.platform;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.io.Serializable;

/** A name that something had before, or is also known by; a file that says it still means that thing. */
@Entity
@IdClass(FormerName.Key.class)
class FormerName {
    /** What it names, such as campsite. */
    @Id
    String kind;

    @Id
    String name;

    Long thingId;

    /** Whether it is the name that its measurements are told apart by. */
    boolean first;

    protected FormerName() {}

    FormerName(Key key, Long thingId, boolean first) {
        this.kind = key.kind;
        this.name = key.name;
        this.thingId = thingId;
        this.first = first;
    }

    /** A name is one thing's among those of its kind. */
    record Key(String kind, String name) implements Serializable {}
}
