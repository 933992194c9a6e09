package syntoma.app.instrument;

import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import syntoma.core.reading.Figure;
import syntoma.core.reading.Rat;
import syntoma.core.reply.Cell;
import syntoma.core.reply.Role;
import syntoma.core.reply.RouterReading;

/** A reading of the router in the figures of a measurement: those of the primary cell. */
final class ReadingFigures {
    private ReadingFigures() {}

    /**
     * The figures, by the fields of the catalogue.
     *
     * @param carrier of what is measured; a reading on another one says nothing about it
     */
    static Map<String, String> of(RouterReading reading, String carrier) {
        Map<String, String> typed = new LinkedHashMap<>();
        boolean other = reading.carrier()
                .filter(name -> !name.equalsIgnoreCase(carrier))
                .isPresent();
        Optional<Cell> primary =
                reading.cells().stream().filter(c -> c.role() == Role.PRIMARY).findFirst();
        if (other || primary.isEmpty()) {
            return typed;
        }
        Cell cell = primary.get();
        reading.mode().filter(ReadingFigures::isRat).ifPresent(mode -> typed.put(Figure.RAT.field(), mode));
        cell.band().ifPresent(band -> typed.put(Figure.BAND.field(), band));
        cell.arfcn().ifPresent(arfcn -> typed.put(Figure.ARFCN.field(), arfcn.toString()));
        cell.cellId().ifPresent(id -> typed.put(Figure.CELL_ID.field(), id));
        put(typed, Figure.RSSI_DBM, cell.rssiDbm());
        put(typed, Figure.RSRP_DBM, cell.rsrpDbm());
        put(typed, Figure.RSRQ_DB, cell.rsrqDb());
        put(typed, Figure.SINR_DB, cell.sinrDb());
        return typed;
    }

    private static boolean isRat(String mode) {
        try {
            return Rat.fromLabel(mode).isCellular();
        } catch (IllegalArgumentException none) {
            return false;
        }
    }

    private static void put(Map<String, String> typed, Figure figure, Optional<Double> value) {
        value.ifPresent(v -> typed.put(
                figure.field(), BigDecimal.valueOf(v).stripTrailingZeros().toPlainString()));
    }
}
