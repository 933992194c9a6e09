package syntoma.app.instrument;

import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.lang.Nullable;

/**
 * A run as it stands.
 *
 * @param sentence what it came to, in words; null until it is over
 * @param inBrowser whether a browser makes it, and not this machine
 * @param ownSim whether that browser is on its device's own SIM
 */
record RunView(
        long id,
        String kind,
        String state,
        String setup,
        String carrier,
        @Nullable String campsite,
        @Nullable String trial,
        @Nullable Integer round,
        String server,
        OffsetDateTime startedAt,
        @Nullable Double downMbps,
        @Nullable Double upMbps,
        @Nullable Double idleMs,
        @Nullable Double downLoadedMs,
        @Nullable Double upLoadedMs,
        @Nullable Double jitterMs,
        @Nullable Double lossPct,
        FlatRate flat,
        long bytesUsed,
        double seconds,
        @Nullable String endedBecause,
        @Nullable String sentence,
        List<RunSamples.Point> series,
        @Nullable Long measurementId,
        boolean inBrowser,
        boolean ownSim) {

    /** In which directions the rate hardly varied; null where there is no rate. */
    record FlatRate(@Nullable Boolean down, @Nullable Boolean up) {}
}
