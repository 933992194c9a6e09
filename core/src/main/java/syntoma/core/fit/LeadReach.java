package syntoma.core.fit;

import java.util.List;
import java.util.Optional;
import syntoma.core.chain.AntennaRun;
import syntoma.core.chain.Placement;
import syntoma.core.chain.Use;
import syntoma.core.chain.Wiring;
import syntoma.core.unit.Values;

/** A lead must reach from the antenna down the mast, and through the roof to the device. */
final class LeadReach implements FitRule {
    /** From the foot of the mast through the roof to a device beneath it, in m: chosen, the thickness of a roof and a bend. */
    private static final double THROUGH_ROOF_M = 0.5;

    @Override
    public List<FitFinding> check(FitCase fit) {
        boolean inside = fit.chain().devicePlacement() == Placement.INSIDE;
        return fit.wiring().of(Use.CELLULAR).stream()
                .filter(c -> inside)
                .flatMap(c -> finding(c).stream())
                .distinct()
                .toList();
    }

    private static Optional<FitFinding> finding(Wiring.Connection connection) {
        AntennaRun run = connection.lead().run();
        boolean outside = !run.placement().behindShell();
        double length = run.lengthM(connection.lead().lead()).orElse(Double.MAX_VALUE);
        double wanted = run.mastM() + THROUGH_ROOF_M;
        if (!outside || length >= wanted || connection.lead().lead().lengthM().orElse(0) == 0 && run.mastM() == 0) {
            return Optional.empty();
        }
        String says = Values.plain(length) + " m of cable from " + run.antenna().name() + " does not reach the device: "
                + (run.mastM() > 0
                        ? "the mast alone is " + Values.plain(run.mastM()) + " m"
                        : "the roof alone takes " + Values.plain(THROUGH_ROOF_M) + " m")
                + ".";
        String fix = "An extension of at least " + Values.rounded(wanted - length, 1)
                + " m, plus the length inside the vehicle.";
        return Optional.of(
                length < run.mastM()
                        ? FitFinding.blocker("lead-reach", run.antenna().name(), says, fix)
                        : FitFinding.caution("lead-reach", run.antenna().name(), says, fix));
    }
}
