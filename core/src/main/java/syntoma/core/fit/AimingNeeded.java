package syntoma.core.fit;

import java.util.List;
import syntoma.core.unit.Values;

/** A narrow beam has to be aimed at every camp. */
final class AimingNeeded implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        return fit.chain().antennas().stream()
                .filter(run -> run.antenna().directional())
                .map(run -> FitFinding.note(
                        "aiming",
                        run.antenna().name(),
                        run.antenna().beamDeg().isPresent()
                                ? "It hears "
                                        + Values.plain(run.antenna().beamDeg().getAsDouble())
                                        + "° of the round: aim it at each camp."
                                : "It is directional: aim it at each camp.",
                        ""))
                .toList();
    }
}
