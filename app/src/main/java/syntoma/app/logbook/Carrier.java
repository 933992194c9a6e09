package syntoma.app.logbook;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;

/** A network. */
@Entity
class Carrier {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    String name;

    protected Carrier() {}

    Carrier(String name) {
        this.name = name;
    }
}
