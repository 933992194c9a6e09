package syntoma.core.fit;

import java.util.List;
import java.util.Optional;
import syntoma.core.chain.Device;
import syntoma.core.chain.Sim;
import syntoma.core.chain.SimSize;

/** A card goes into a larger slot with a frame, and into a smaller one not at all; an eSIM goes where one is taken. */
final class CardSize implements FitRule {
    private static final String CODE = "card-size";

    @Override
    public List<FitFinding> check(FitCase fit) {
        return fit.chain().device().stream()
                .flatMap(d -> fit.chain().sims().stream()
                        .flatMap(sim -> sim.size().flatMap(size -> finding(d, sim, size)).stream()))
                .toList();
    }

    private static Optional<FitFinding> finding(Device device, Sim sim, SimSize card) {
        Optional<SimSize> slot = device.simSize();
        if (card == SimSize.ESIM) {
            return profile(device, sim);
        }
        if (slot.isEmpty() || slot.get() == card) {
            return Optional.empty();
        }
        if (slot.get() == SimSize.ESIM || card.compareTo(slot.get()) < 0) {
            return Optional.of(FitFinding.blocker(
                    CODE,
                    sim.name(),
                    sim.name() + " is a " + card.label() + " SIM; the device takes "
                            + (slot.get() == SimSize.ESIM
                                    ? "an eSIM"
                                    : "a " + slot.get().label() + " card") + ".",
                    "Ask the carrier for the other size."));
        }
        return Optional.of(FitFinding.note(
                CODE,
                sim.name(),
                Words.capital(slot.get().label()) + "-size SIM slot: the " + card.label()
                        + " SIM needs an adapter frame.",
                "A SIM adapter frame."));
    }

    private static Optional<FitFinding> profile(Device device, Sim sim) {
        boolean takes = device.simSize().equals(Optional.of(SimSize.ESIM))
                || device.esim().orElse(false);
        if (takes) {
            return Optional.empty();
        }
        if (device.esim().isPresent()) {
            return Optional.of(FitFinding.blocker(
                    CODE,
                    sim.name(),
                    sim.name() + " is an eSIM; " + device.name() + " takes none"
                            + device.simSize()
                                    .map(s -> ", only a " + s.label() + " card")
                                    .orElse("") + ".",
                    "Ask the carrier for a physical SIM."));
        }
        return Optional.of(FitFinding.note(
                CODE,
                sim.name(),
                sim.name() + " is an eSIM; the sheet of " + device.name() + " does not say whether it takes one"
                        + device.simSize()
                                .map(s -> " beside its " + s.label() + " card slot")
                                .orElse("") + ".",
                "Look for the word eSIM on its sheet, or ask the carrier for a physical SIM."));
    }
}
