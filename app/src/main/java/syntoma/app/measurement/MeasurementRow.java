package syntoma.app.measurement;

import jakarta.persistence.Column;
import jakarta.persistence.MappedSuperclass;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.time.OffsetDateTime;
import java.util.EnumMap;
import java.util.Map;
import syntoma.app.campsite.Moments;
import syntoma.core.reading.Figure;
import syntoma.core.reading.Rat;
import syntoma.core.trial.Outcome;

/** The columns of a measurement: a reading and/or a speed run. Missing values are null. */
@MappedSuperclass
abstract class MeasurementRow {
    /** The field of each number of the catalogue. */
    private static final Map<Figure, VarHandle> NUMBERS = numbers();

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

    protected MeasurementRow() {}

    protected MeasurementRow(NewMeasurement m, Long campsiteId, Long setupId, Long carrierId) {
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

    /** A copy. */
    protected MeasurementRow(MeasurementRow other) {
        this.takenAt = other.takenAt;
        this.campsiteId = other.campsiteId;
        this.setupId = other.setupId;
        this.carrierId = other.carrierId;
        this.rat = other.rat;
        this.band = other.band;
        this.arfcn = other.arfcn;
        this.cellId = other.cellId;
        Figure.numbers().forEach(figure -> NUMBERS.get(figure).set(this, other.number(figure)));
        this.server = other.server;
        this.outcome = other.outcome;
        this.trial = other.trial;
        this.round = other.round;
        this.note = other.note;
        this.digits = other.digits;
        this.printHigh = other.printHigh;
        this.printLow = other.printLow;
    }

    private static Map<Figure, VarHandle> numbers() {
        Map<Figure, VarHandle> numbers = new EnumMap<>(Figure.class);
        for (Figure figure : Figure.numbers()) {
            try {
                numbers.put(
                        figure,
                        MethodHandles.lookup().findVarHandle(MeasurementRow.class, figure.field(), Double.class));
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

    Fingerprint print() {
        return new Fingerprint(printHigh, printLow);
    }

    /** What stays need to know of it. */
    Moments.Taken taken() {
        return new Moments.Taken(campsiteId, takenAt, setupId, ok());
    }

    boolean ok() {
        return outcome.equals(Outcome.OK.label());
    }

    private static String emptyToNull(String text) {
        return text.isEmpty() ? null : text;
    }
}
