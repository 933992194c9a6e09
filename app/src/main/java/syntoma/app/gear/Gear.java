package syntoma.app.gear;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;

/** Something bought, or thought of, with its data sheet as JSON. */
@Entity
class Gear {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    String kind;
    String name;
    String state;
    Double price;
    String sheet;

    protected Gear() {}

    Gear(String kind) {
        this.kind = kind;
    }
}
