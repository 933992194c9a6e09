package syntoma.standin.practice;

import java.time.OffsetDateTime;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Sample;
import syntoma.standin.Air;

/**
 * One run of a simulated trial.
 *
 * @param air what the device said and the run brought; empty where it failed
 * @param downMbps as measured; nothing where it failed
 * @param upMbps the same
 */
public record Run(int round, String rival, OffsetDateTime at, Optional<Air> air, double downMbps, double upMbps) {

    public boolean hasSucceeded() {
        return air.isPresent();
    }

    /** As a comparison takes it. */
    public Sample sample(Figure figure) {
        return new Sample(
                at.toInstant(),
                1,
                "",
                rival,
                "simulated",
                OptionalInt.of(round),
                air.map(a -> a.primary().cell().channel().band()).orElse(""),
                hasSucceeded(),
                air.map(a -> OptionalDouble.of(value(a, figure))).orElse(OptionalDouble.empty()));
    }

    private double value(Air there, Figure figure) {
        return switch (figure) {
            case DOWN_MBPS -> downMbps;
            case UP_MBPS -> upMbps;
            case UP_LOADED_MS -> there.upLoadedMs();
            case RSRP_DBM -> there.primary().rsrpDbm();
            case SINR_DB -> there.primary().sinrDb();
            default -> throw new IllegalArgumentException("a simulated run has no " + figure.label());
        };
    }
}
