package syntoma.core.fit;

import java.util.List;
import syntoma.core.chain.Sim;

/** The bands looked at should be those of a card in the setup; a card whose carrier is not said may be that one. */
final class CarrierOfCard implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        List<Sim> sims = fit.chain().sims();
        boolean none = !sims.isEmpty()
                && !fit.carrier().isEmpty()
                && sims.stream()
                        .noneMatch(s -> s.carrier().isEmpty() || s.carrier().equals(fit.carrier()));
        return none
                ? List.of(FitFinding.note(
                        "carrier-of-card",
                        sims.get(0).name(),
                        "The bands checked are those of " + fit.carrier() + "; the SIM is from "
                                + sims.get(0).carrier() + ".",
                        ""))
                : List.of();
    }
}
