package syntoma.core.fit;

import java.util.List;
import syntoma.core.unit.Values;

/** What overtops the vehicle stands only while it is parked. */
final class ParkedOnly implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        return fit.chain().antennas().stream()
                .filter(run -> run.mastM() > 0)
                .map(run -> FitFinding.note(
                        "parked-only",
                        run.antenna().name(),
                        "Parked only: taller than the vehicle by "
                                + Values.rounded(
                                        run.mastM() + run.antenna().heightM().orElse(0), 2) + " m.",
                        ""))
                .toList();
    }
}
