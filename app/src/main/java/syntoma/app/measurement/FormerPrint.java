package syntoma.app.measurement;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.io.Serializable;

/** What told a measurement apart before it was edited. */
@Entity
@IdClass(FormerPrint.Key.class)
class FormerPrint {
    @Id
    Long printHigh;

    @Id
    Long printLow;

    @Id
    Long measurementId;

    protected FormerPrint() {}

    FormerPrint(Key key) {
        this.printHigh = key.printHigh;
        this.printLow = key.printLow;
        this.measurementId = key.measurementId;
    }

    /** A print of a measurement. */
    record Key(Long printHigh, Long printLow, Long measurementId) implements Serializable {
        static Key of(Fingerprint print, Long measurement) {
            return new Key(print.high(), print.low(), measurement);
        }
    }
}
