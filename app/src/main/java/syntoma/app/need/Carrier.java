package syntoma.app.need;

import jakarta.persistence.Entity;
import syntoma.app.platform.NamedThing;

/** A network. */
@Entity
class Carrier extends NamedThing {
    protected Carrier() {}

    Carrier(String name) {
        super(name);
    }
}
