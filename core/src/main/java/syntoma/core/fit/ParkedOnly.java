package syntoma.core.fit;

import java.util.ArrayList;
import java.util.List;
import syntoma.core.chain.AntennaRun;
import syntoma.core.chain.Placement;
import syntoma.core.chain.Vehicle;
import syntoma.core.unit.Values;

/** What overtops the vehicle stands only while it is parked; what stays on must pass under what is ahead. */
final class ParkedOnly implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {
        Vehicle vehicle = fit.chain().vehicle();
        List<FitFinding> findings = new ArrayList<>();
        for (AntennaRun run : fit.chain().antennas()) {
            boolean known = run.antenna().heightM().isPresent();
            double over = run.mastM() + run.antenna().heightM().orElse(0);
            double top = vehicle.heightM() + over;
            if (run.mastM() > 0) {
                findings.add(FitFinding.note(
                        "parked-only",
                        run.antenna().name(),
                        known
                                ? "Parked only: taller than the vehicle by " + Values.rounded(over, 2) + " m, "
                                        + Values.rounded(top, 2) + " m over ground."
                                : "Parked only: taller than the vehicle by " + Values.rounded(over, 2)
                                        + " m and the antenna’s own height, which its data sheet does not state.",
                        "Take the mast down before you drive; a line at the door handle reminds you."));
            } else if (run.placement() == Placement.ROOF && top > vehicle.limitM()) {
                String says = "On the roof it makes the vehicle " + Values.rounded(top, 2) + " m high; your limit is "
                        + Values.rounded(vehicle.limitM(), 2) + " m.";
                findings.add(
                        run.antenna().magnetic()
                                ? FitFinding.caution(
                                        "over-height", run.antenna().name(), says, "Remove it before you drive.")
                                : FitFinding.blocker(
                                        "over-height",
                                        run.antenna().name(),
                                        says,
                                        "Use a lower antenna, or one that you remove or fold down to drive."));
            }
        }
        return findings;
    }
}
