package syntoma.app.logbook;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;

/** A place to stand. */
@Entity
class Campsite {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    String name;

    /** Degrees north as written; null when not known. */
    String lat;

    /** Degrees east as written; null when not known. */
    String lon;

    protected Campsite() {}

    Campsite(String name) {
        this.name = name;
    }
}
