package syntoma.app.instrument;

import java.util.List;
import org.springframework.lang.Nullable;
import syntoma.core.statustext.Speeds;
import syntoma.core.statustext.StatusText;
import syntoma.core.statustext.Warning;

/**
 * What a pasted text says; what it does not say is null.
 *
 * @param mode LTE, NR-NSA, NR-SA, UMTS, GSM, or none where it says that it is not registered
 * @param cells the serving ones first
 */
record StatusTextView(
        @Nullable String mode,
        @Nullable String carrier,
        List<LiveReading.CellView> cells,
        @Nullable SpeedView speed,
        List<WarningView> warnings) {

    /** What a speed test in it says, in Mb/s and ms. */
    record SpeedView(
            @Nullable Double downMbps,
            @Nullable Double upMbps,
            @Nullable Double idleMs,
            @Nullable Double downLoadedMs,
            @Nullable Double upLoadedMs) {
        static SpeedView of(Speeds speeds) {
            return new SpeedView(
                    speeds.downMbps().orElse(null),
                    speeds.upMbps().orElse(null),
                    speeds.idleMs().orElse(null),
                    speeds.downLoadedMs().orElse(null),
                    speeds.upLoadedMs().orElse(null));
        }
    }

    /**
     * What is to be looked at before it is kept.
     *
     * @param code nothing-read, impossible-value, bars-only, neighbours-only, test-failed, two-carriers or ambiguous
     * @param line where it stands, from 1; null for the whole text
     */
    record WarningView(String code, String message, @Nullable Integer line) {
        static WarningView of(Warning warning) {
            return new WarningView(
                    warning.code().label(), warning.message(), warning.line() == 0 ? null : warning.line());
        }
    }

    static StatusTextView of(StatusText read) {
        return new StatusTextView(
                read.mode().orElse(null),
                read.carrier().orElse(null),
                read.cells().stream().map(LiveReading.CellView::of).toList(),
                read.speed().map(SpeedView::of).orElse(null),
                read.warnings().stream().map(WarningView::of).toList());
    }
}
