package syntoma.core.fit;

import java.util.List;
import syntoma.core.chain.Placement;
import syntoma.core.unit.Values;

/** An antenna that needs metal beneath it works poorly without. */
final class GroundPlane implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        return fit.chain().antennas().stream()
                .filter(run -> run.antenna().groundPlaneCm2().orElse(0) > 0)
                .filter(run -> run.plateCm2().orElse(0)
                        < run.antenna().groundPlaneCm2().getAsDouble())
                .filter(run -> run.placement() != Placement.ROOF
                        || !fit.chain().vehicle().shell().isMetal())
                .map(run -> FitFinding.caution(
                        "ground-plane",
                        run.antenna().name(),
                        run.antenna().name() + " needs "
                                + Values.plain(run.antenna().groundPlaneCm2().getAsDouble())
                                + " cm² of metal beneath it; "
                                + (run.placement() == Placement.ROOF
                                        ? "a roof of "
                                                + fit.chain().vehicle().shell().label() + " has none."
                                        : "at the " + run.placement().label() + " there is none.")
                                + (run.plateCm2().isPresent()
                                        ? " The plate has "
                                                + Values.plain(run.plateCm2().getAsDouble()) + " cm²."
                                        : ""),
                        "A metal plate of that size, or a measured trial with and without."))
                .toList();
    }
}
