package syntoma.app.instrument;

import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.lang.Nullable;
import syntoma.core.reply.Cell;
import syntoma.core.reply.RouterReading;

/**
 * What the router said last, and how old that is.
 *
 * @param takenAt null where it has not said anything yet
 * @param ageMs since then, or since it is watched
 * @param problem what is wrong, in words; null where all is well
 * @param cells the serving ones first; empty once the last reading is too old
 */
record LiveReading(
        @Nullable OffsetDateTime takenAt,
        long ageMs,
        @Nullable String problem,
        @Nullable String mode,
        @Nullable String carrier,
        List<CellView> cells) {

    /** A cell; what is not reported is null. */
    record CellView(
            String role,
            @Nullable String rat,
            @Nullable String band,
            @Nullable Integer arfcn,
            @Nullable Double bandwidthMhz,
            @Nullable Integer pci,
            @Nullable String cellId,
            @Nullable Double rssiDbm,
            @Nullable Double rsrpDbm,
            @Nullable Double rsrqDb,
            @Nullable Double sinrDb) {

        static CellView of(Cell cell) {
            return new CellView(
                    cell.role().label(),
                    cell.rat().orElse(null),
                    cell.band().orElse(null),
                    cell.arfcn().orElse(null),
                    cell.bandwidthMhz().orElse(null),
                    cell.pci().orElse(null),
                    cell.cellId().orElse(null),
                    cell.rssiDbm().orElse(null),
                    cell.rsrpDbm().orElse(null),
                    cell.rsrqDb().orElse(null),
                    cell.sinrDb().orElse(null));
        }
    }

    static List<CellView> cells(RouterReading reading) {
        return reading.cells().stream().map(CellView::of).toList();
    }
}
