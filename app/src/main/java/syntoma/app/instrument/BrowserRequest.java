package syntoma.app.instrument;

import java.util.Optional;
import org.springframework.lang.Nullable;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.run.Leg;

/**
 * A run that a browser is to make.
 *
 * @param ownSim whether on its device's own SIM, and not through the router; not where it is missing
 * @param leg what the browser's way to Syntoma's machine carries; it is of no account on a SIM of its own
 */
record BrowserRequest(@Nullable RunRequest run, @Nullable Boolean ownSim, @Nullable LegSeen leg) {

    /** What went over the way between the browser and the machine, and what that took. */
    record LegSeen(long downBytes, double downMs, long upBytes, double upMs) {}

    boolean isOnOwnSim() {
        return ownSim != null && ownSim;
    }

    /**
     * What the way carries; empty where it was not looked at, or is not used.
     *
     * @throws InvalidInputException naming what cannot be
     */
    Optional<Leg> way() {
        if (isOnOwnSim() || leg == null) {
            return Optional.empty();
        }
        Leg.TimedBytes down =
                InvalidInputException.naming("leg.down", () -> new Leg.TimedBytes(leg.downBytes(), leg.downMs()));
        Leg.TimedBytes up = InvalidInputException.naming("leg.up", () -> new Leg.TimedBytes(leg.upBytes(), leg.upMs()));
        return Optional.of(Leg.of(down, up));
    }
}
