package syntoma.app.logbook;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.OffsetDateTime;
import syntoma.core.reading.Quantity;
import syntoma.core.reading.Rat;
import syntoma.core.trial.Outcome;

/** A reading and/or a speed run, as stored by {@link MeasurementInserts}. Missing values are null. */
@Entity
class Measurement {
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
        this.rssiDbm = m.numbers().boxed(Quantity.RSSI);
        this.rsrpDbm = m.numbers().boxed(Quantity.RSRP);
        this.rsrqDb = m.numbers().boxed(Quantity.RSRQ);
        this.sinrDb = m.numbers().boxed(Quantity.SINR);
        this.downMbps = m.numbers().boxed(Quantity.DOWN);
        this.upMbps = m.numbers().boxed(Quantity.UP);
        this.idleMs = m.numbers().boxed(Quantity.IDLE);
        this.downLoadedMs = m.numbers().boxed(Quantity.DOWN_LOADED);
        this.upLoadedMs = m.numbers().boxed(Quantity.UP_LOADED);
        this.jitterMs = m.numbers().boxed(Quantity.JITTER);
        this.lossPct = m.numbers().boxed(Quantity.LOSS);
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

    boolean ok() {
        return outcome.equals(Outcome.OK.label());
    }

    private static String emptyToNull(String text) {
        return text.isEmpty() ? null : text;
    }
}
