package syntoma.core.fit;

import java.util.List;
import syntoma.core.chain.Placement;
import syntoma.core.chain.Shell;

/** A magnet holds on steel alone. */
final class MagnetHold implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        return fit.chain().antennas().stream()
                .filter(run -> run.antenna().isMagnetic()
                        && run.plateCm2().isEmpty()
                        && run.placement() == Placement.ROOF
                        && fit.chain().vehicle().shell() != Shell.STEEL)
                .map(run -> FitFinding.blocker(
                                "magnet-hold",
                                run.antenna().name(),
                                run.antenna().name() + " is held by a magnet, which does not hold on "
                                        + fit.chain().vehicle().shell().label() + ".",
                                "Glue a steel plate on, or use another mounting.")
                        .with(ToBuy.about("steel plate", ToBuy.STEEL_PLATE)))
                .toList();
    }
}
