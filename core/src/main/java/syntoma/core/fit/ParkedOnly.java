package syntoma.core.fit;

import java.util.ArrayList;
import java.util.List;
import syntoma.core.chain.AntennaRun;
import syntoma.core.chain.Placement;
import syntoma.core.chain.Vehicle;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;

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
                                ? Sentence.of(
                                        "Parked only: taller than the vehicle by ",
                                        Quantity.metres(over, 2),
                                        ", ",
                                        Quantity.height(top),
                                        " over ground.")
                                : Sentence.of(
                                        "Parked only: taller than the vehicle by ",
                                        Quantity.metres(over, 2),
                                        " and the antenna’s own height, which its data sheet does not state."),
                        "Take the mast down before you drive; a line at the door handle reminds you."));
            } else if (run.placement() == Placement.ROOF && top > vehicle.limitM()) {
                Sentence says = Sentence.of(
                        "On the roof it makes the vehicle ",
                        Quantity.height(top),
                        " high; your limit is ",
                        Quantity.height(vehicle.limitM()),
                        ".");
                findings.add(
                        run.antenna().isMagnetic()
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
