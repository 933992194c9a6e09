package syntoma.core.fit;

import java.util.List;
import java.util.Optional;
import syntoma.core.chain.Device;
import syntoma.core.chain.Feature;
import syntoma.core.chain.Sim;
import syntoma.core.chain.SimSize;

/** More cards than slots do not fit; more than modems take turns, as fall-backs of each other. */
final class CardCount implements FitRule {
    private static final String CODE = "card-count";

    @Override
    public List<FitFinding> check(FitCase fit) {
        Optional<Device> device = fit.chain().device();
        if (device.isEmpty() || fit.chain().sims().isEmpty()) {
            return List.of();
        }
        Device d = device.get();
        int all = fit.chain().sims().size();
        int cards =
                (int) fit.chain().sims().stream().filter(s -> !isProfile(s, d)).count();
        if (d.simSlots().isPresent() && cards > d.simSlots().getAsInt()) {
            return List.of(FitFinding.blocker(
                    CODE,
                    d.name(),
                    cards + " cards for " + Words.count(d.simSlots().getAsInt()) + " slot"
                            + (d.simSlots().getAsInt() == 1 ? "." : "s."),
                    "Leave a card out of this setup."));
        }
        if (d.modems().isPresent() && all > d.modems().getAsInt()) {
            boolean switches = d.can(Feature.FAILOVER).orElse(false);
            return List.of(FitFinding.note(
                    CODE,
                    d.name(),
                    all + " cards and " + Words.count(d.modems().getAsInt()) + " modem"
                            + (d.modems().getAsInt() == 1 ? "" : "s")
                            + ": one card works at a time, the other is a fall-back"
                            + (switches ? " that it switches to by itself." : " that you switch to by hand."),
                    ""));
        }
        return List.of();
    }

    /** An eSIM takes no slot where the device holds it beside its slots. */
    private static boolean isProfile(Sim sim, Device device) {
        return sim.size().equals(Optional.of(SimSize.ESIM)) && device.esim().orElse(false);
    }
}
