package syntoma.core.fit;

import java.util.List;
import syntoma.core.chain.AntennaRun;
import syntoma.core.chain.Placement;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;

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
                        Sentence.of(
                                run.antenna().name() + " needs ",
                                Quantity.squareCentimetres(
                                        run.antenna().groundPlaneCm2().getAsDouble()),
                                " of metal beneath it; ",
                                run.placement() == Placement.ROOF
                                        ? "a roof of "
                                                + fit.chain().vehicle().shell().label() + " has none."
                                        : "at the " + run.placement().label() + " there is none.",
                                plate(run)),
                        "A metal plate of that size, or a measured trial with and without."))
                .toList();
    }

    private static Sentence plate(AntennaRun run) {
        return run.plateCm2().isPresent()
                ? Sentence.of(
                        " The plate has ",
                        Quantity.squareCentimetres(run.plateCm2().getAsDouble()),
                        ".")
                : Sentence.EMPTY;
    }
}
