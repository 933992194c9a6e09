package syntoma.app.measurement;

import jakarta.persistence.Column;
import jakarta.persistence.MappedSuperclass;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.time.OffsetDateTime;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import syntoma.app.campsite.Moments;
import syntoma.core.reading.Figure;
import syntoma.core.reading.Rat;
import syntoma.core.trial.Outcome;

/** The columns of a measurement: a reading and/or a speed run. Missing values are null. */
@MappedSuperclass
abstract class MeasurementRow {
    /** The field of each number of the catalogue, and of each text that is nothing else. */
    private static final Map<Figure, VarHandle> NUMBERS = fields(Figure.numbers(), Double.class);

    private static final Map<Figure, VarHandle> TEXTS = fields(Figure.texts(), String.class);

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

    /** The entry of the journal that it was imported with; null when it was typed. */
    Long importId;

    protected MeasurementRow() {}

    protected MeasurementRow(NewMeasurement m, Fingerprint print, Long campsiteId, Long setupId, Long carrierId) {
        place(campsiteId, setupId, carrierId);
        fill(m);
        print(print);
    }

    /** Takes what was measured, and when, from another. */
    final void fill(NewMeasurement m) {
        this.takenAt = m.takenAt();
        this.rat = m.rat().map(Rat::label).orElse(null);
        this.band = emptyToNull(m.band());
        this.arfcn = m.arfcn().isPresent() ? m.arfcn().getAsInt() : null;
        NUMBERS.forEach((figure, field) -> field.set(this, m.numbers().boxed(figure)));
        TEXTS.forEach((figure, field) -> field.set(this, emptyToNull(m.texts().get(figure))));
        this.outcome = m.outcome().label();
        this.trial = emptyToNull(m.trial());
        this.round = m.round().isPresent() ? m.round().getAsInt() : null;
        this.digits = emptyToNull(m.numbers().digits());
    }

    /** Says where, with what and on what it was measured. */
    final void place(Long campsite, Long setup, Long carrier) {
        this.campsiteId = campsite;
        this.setupId = setup;
        this.carrierId = carrier;
    }

    final void print(Fingerprint print) {
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
        NUMBERS.values().forEach(field -> field.set(this, (Double) field.get(other)));
        TEXTS.values().forEach(field -> field.set(this, (String) field.get(other)));
        this.outcome = other.outcome;
        this.trial = other.trial;
        this.round = other.round;
        this.digits = other.digits;
        this.printHigh = other.printHigh;
        this.printLow = other.printLow;
        this.importId = other.importId;
    }

    private static Map<Figure, VarHandle> fields(List<Figure> figures, Class<?> type) {
        Map<Figure, VarHandle> fields = new EnumMap<>(Figure.class);
        for (Figure figure : figures) {
            try {
                fields.put(figure, MethodHandles.lookup().findVarHandle(MeasurementRow.class, figure.field(), type));
            } catch (ReflectiveOperationException missing) {
                throw new IllegalStateException("a measurement has no field " + figure.field(), missing);
            }
        }
        return fields;
    }

    /** The value of a number, null when missing. */
    Double number(Figure figure) {
        return (Double) NUMBERS.get(figure).get(this);
    }

    /** A figure that is text and nothing else, null when missing. */
    String text(Figure figure) {
        VarHandle field = TEXTS.get(figure);
        return field == null ? null : (String) field.get(this);
    }

    Fingerprint print() {
        return new Fingerprint(printHigh, printLow);
    }

    /** What stays need to know of it. */
    Moments.MeasuredMoment moment() {
        return new Moments.MeasuredMoment(campsiteId, takenAt, setupId, hasSucceeded());
    }

    boolean hasSucceeded() {
        return outcome.equals(Outcome.OK.label());
    }

    private static String emptyToNull(String text) {
        return text.isEmpty() ? null : text;
    }
}
