package syntoma.app.logbook;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.time.OffsetDateTime;
import java.util.EnumMap;
import java.util.Map;
import syntoma.core.reading.Figure;
import syntoma.core.reading.Rat;
import syntoma.core.trial.Outcome;

/** A reading and/or a speed run, as stored by {@link MeasurementInserts}. Missing values are null. */
@Entity
class Measurement {
    /** The field of each number of the catalogue. */
    private static final Map<Figure, VarHandle> NUMBERS = numbers();

    @Id
    Long id;

    OffsetDateTime takenAt;
    Long campsiteId;
    Long setupId;
    Long carrierId;
    String rat;
    String band;
    Integer arfcn;
    String cellId;
    Double rssiDbm;
    Double rsrpDbm;
    Double rsrqDb;
    Double sinrDb;
    Double downMbps;
    Double upMbps;
    Double idleMs;
    Double downLoadedMs;
    Double upLoadedMs;
    Double jitterMs;
    Double lossPct;
    String server;
    String outcome;
    String trial;

    @Column(name = "round")
    Integer round;

    String note;
    String digits;
    long printHigh;
    long printLow;

    protected Measurement() {}

    Measurement(NewMeasurement m, Long campsiteId, Long setupId, Long carrierId) {
        this.takenAt = m.takenAt();
        this.campsiteId = campsiteId;
        this.setupId = setupId;
        this.carrierId = carrierId;
        this.rat = m.rat().map(Rat::label).orElse(null);
        this.band = emptyToNull(m.band());
        this.arfcn = m.arfcn().isPresent() ? m.arfcn().getAsInt() : null;
        this.cellId = emptyToNull(m.cellId());
        Figure.numbers()
                .forEach(figure -> NUMBERS.get(figure).set(this, m.numbers().boxed(figure)));
        this.server = emptyToNull(m.server());
        this.outcome = m.outcome().label();
        this.trial = emptyToNull(m.trial());
        this.round = m.round().isPresent() ? m.round().getAsInt() : null;
        this.note = emptyToNull(m.note());
        this.digits = emptyToNull(m.numbers().digits());
        Fingerprint print = Fingerprint.of(m);
        this.printHigh = print.high();
        this.printLow = print.low();
    }

    private static Map<Figure, VarHandle> numbers() {
        Map<Figure, VarHandle> numbers = new EnumMap<>(Figure.class);
        for (Figure figure : Figure.numbers()) {
            try {
                numbers.put(
                        figure, MethodHandles.lookup().findVarHandle(Measurement.class, figure.field(), Double.class));
            } catch (ReflectiveOperationException missing) {
                throw new IllegalStateException("a measurement has no field " + figure.field(), missing);
            }
        }
        return numbers;
    }

    /** The value of a number, null when missing. */
    Double number(Figure figure) {
        return (Double) NUMBERS.get(figure).get(this);
    }

    boolean ok() {
        return outcome.equals(Outcome.OK.label());
    }

    private static String emptyToNull(String text) {
        return text.isEmpty() ? null : text;
    }
}
