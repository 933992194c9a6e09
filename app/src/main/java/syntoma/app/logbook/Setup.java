package syntoma.app.logbook;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;

/** A signal chain, so far by its name alone. */
@Entity
class Setup {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    String name;

    /** Which of the drawn pennants stands for it, counted from 0. */
    int pennant;

    protected Setup() {}

    Setup(String name, int pennant) {
        this.name = name;
        this.pennant = pennant;
    }
}
