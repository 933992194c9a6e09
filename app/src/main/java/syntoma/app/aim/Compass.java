package syntoma.app.aim;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;

/** By how much the compass points east of true north where the vehicle stands; one row. */
@Entity
class Compass {
    static final int ONLY = 1;

    @Id
    int id;

    double declinationDeg;

    protected Compass() {}

    static Compass first() {
        Compass first = new Compass();
        first.id = ONLY;
        return first;
    }
}
