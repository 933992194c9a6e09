package syntoma.core.fit;

import java.util.List;
import java.util.Optional;
import syntoma.core.chain.AntennaRun;
import syntoma.core.chain.Placement;
import syntoma.core.chain.Use;
import syntoma.core.chain.Wiring;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;

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
        boolean outside = !run.placement().isBehindShell();
        double length = run.lengthM(connection.lead().lead()).orElse(Double.MAX_VALUE);
        double wanted = run.mastM() + THROUGH_ROOF_M;
        if (!outside || length >= wanted || connection.lead().lead().lengthM().orElse(0) == 0 && run.mastM() == 0) {
            return Optional.empty();
        }
        Sentence says = Sentence.of(
                Quantity.metres(length),
                " of cable from " + run.antenna().name() + " does not reach the device: ",
                run.mastM() > 0 ? "the mast alone is " : "the roof alone takes ",
                Quantity.metres(run.mastM() > 0 ? run.mastM() : THROUGH_ROOF_M),
                ".");
        Sentence fix = Sentence.of(
                "An extension of at least ",
                Quantity.metres(wanted - length, 1),
                ", plus the length inside the vehicle.");
        return Optional.of(
                length < run.mastM()
                        ? FitFinding.blocker("lead-reach", run.antenna().name(), says, fix)
                        : FitFinding.caution("lead-reach", run.antenna().name(), says, fix));
    }
}
