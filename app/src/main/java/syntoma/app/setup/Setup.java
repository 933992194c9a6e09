package syntoma.app.setup;

import jakarta.persistence.Entity;
import syntoma.app.platform.NamedThing;

/** A signal chain by its name; what it is made of is in its revisions. */
@Entity
class Setup extends NamedThing {
    /** Which of the drawn pennants stands for it, counted from 0. */
    int pennant;

    /** No longer offered; what was measured with it stays. */
    boolean retired;

    protected Setup() {}

    Setup(String name, int pennant) {
        super(name);
        this.pennant = pennant;
    }

    SetupName view() {
        return new SetupName(id(), name(), pennant, retired);
    }
}
