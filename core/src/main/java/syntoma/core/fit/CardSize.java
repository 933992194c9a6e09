package syntoma.core.fit;

import java.util.List;
import java.util.Optional;
import syntoma.core.chain.Device;
import syntoma.core.chain.Sim;
import syntoma.core.chain.SimSize;

/** A card goes into a larger slot with a frame, and into a smaller one not at all. */
final class CardSize implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        Optional<SimSize> slot = fit.chain().device().flatMap(Device::simSize);
        return fit.chain().sims().stream()
                .filter(sim ->
                        slot.isPresent() && sim.size().isPresent() && sim.size().get() != slot.get())
                .map(sim -> finding(sim, sim.size().get(), slot.get()))
                .toList();
    }

    private static FitFinding finding(Sim sim, SimSize card, SimSize slot) {
        if (card == SimSize.ESIM) {
            return FitFinding.blocker(
                    "card-size",
                    sim.name(),
                    sim.name() + " is an eSIM; the device takes a " + slot.label() + " card.",
                    "Ask the carrier for a card.");
        }
        if (slot == SimSize.ESIM || card.compareTo(slot) < 0) {
            return FitFinding.blocker(
                    "card-size",
                    sim.name(),
                    sim.name() + " is a " + card.label() + " card; the device takes "
                            + (slot == SimSize.ESIM ? "an eSIM" : "a " + slot.label() + " card") + ".",
                    "Ask the carrier for the other size.");
        }
        return FitFinding.note(
                "card-size",
                sim.name(),
                Words.capital(slot.label()) + "-size card slot: the " + card.label() + " card needs a frame.",
                "A card frame, a small thing that is easily lost.");
    }
}
