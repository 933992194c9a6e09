package syntoma.app.logbook;

import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;
import java.time.OffsetDateTime;
import org.springframework.lang.Nullable;
import syntoma.core.reading.Quantity;

/** A measurement as it is shown. Numbers keep the digits they were written in. */
public record LoggedMeasurement(
        long id,
        OffsetDateTime takenAt,
        String campsite,
        @Nullable Long stay,
        String setup,
        @Nullable String carrier,
        @Nullable String rat,
        @Nullable String band,
        @Nullable Integer arfcn,
        @Nullable String cellId,
        @Nullable BigDecimal rssiDbm,
        @Nullable BigDecimal rsrpDbm,
        @Nullable BigDecimal rsrqDb,
        @Nullable BigDecimal sinrDb,
        @Nullable BigDecimal downMbps,
        @Nullable BigDecimal upMbps,
        @Nullable BigDecimal idleMs,
        @Nullable BigDecimal downLoadedMs,
        @Nullable BigDecimal upLoadedMs,
        @Nullable BigDecimal jitterMs,
        @Nullable BigDecimal lossPct,
        @Nullable String server,
        @Schema(allowableValues = {"ok", "no_service", "failed", "timed_out"}) String outcome,
        @Nullable String trial,
        @Nullable Integer round,
        @Nullable String note) {

    static LoggedMeasurement of(Measurement m, String campsite, Long stay, String setup, String carrier) {
        return new LoggedMeasurement(
                m.id,
                m.takenAt,
                campsite,
                stay,
                setup,
                carrier,
                m.rat,
                m.band,
                m.arfcn,
                m.cellId,
                number(Quantity.RSSI, m.rssiDbm, m),
                number(Quantity.RSRP, m.rsrpDbm, m),
                number(Quantity.RSRQ, m.rsrqDb, m),
                number(Quantity.SINR, m.sinrDb, m),
                number(Quantity.DOWN, m.downMbps, m),
                number(Quantity.UP, m.upMbps, m),
                number(Quantity.IDLE, m.idleMs, m),
                number(Quantity.DOWN_LOADED, m.downLoadedMs, m),
                number(Quantity.UP_LOADED, m.upLoadedMs, m),
                number(Quantity.JITTER, m.jitterMs, m),
                number(Quantity.LOSS, m.lossPct, m),
                m.server,
                m.outcome,
                m.trial,
                m.round,
                m.note);
    }

    private static BigDecimal number(Quantity quantity, Double value, Measurement m) {
        return value == null ? null : new BigDecimal(Numbers.text(quantity, value, m.digits));
    }

    /** The value of a quantity, null when missing. */
    @Nullable
    public BigDecimal value(Quantity quantity) {
        return switch (quantity) {
            case RSSI -> rssiDbm;
            case RSRP -> rsrpDbm;
            case RSRQ -> rsrqDb;
            case SINR -> sinrDb;
            case DOWN -> downMbps;
            case UP -> upMbps;
            case IDLE -> idleMs;
            case DOWN_LOADED -> downLoadedMs;
            case UP_LOADED -> upLoadedMs;
            case JITTER -> jitterMs;
            case LOSS -> lossPct;
        };
    }
}
