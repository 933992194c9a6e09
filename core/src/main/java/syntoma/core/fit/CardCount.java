package syntoma.core.fit;

import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import syntoma.core.chain.Device;
import syntoma.core.chain.Feature;
import syntoma.core.chain.Sim;
import syntoma.core.chain.SimSize;

/**
 * More cards than slots do not fit; an eSIM takes no slot. More than there are modems take turns, as fall-backs of each
 * other.
 */
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
        int profiles = count(fit, s -> s.size().equals(Optional.of(SimSize.ESIM)));
        int unsized = count(fit, s -> s.size().isEmpty());
        int cards = all - profiles;
        if (d.simSlots().isPresent() && cards > d.simSlots().getAsInt()) {
            int slots = d.simSlots().getAsInt();
            String says = cards + " SIMs for " + Words.count(slots) + " slot" + (slots == 1 ? "" : "s");
            boolean sure = cards - unsized > slots || d.esim().equals(Optional.of(false));
            return List.of(
                    sure
                            ? FitFinding.blocker(CODE, d.name(), says + ".", "Remove a SIM from this setup.")
                            : FitFinding.note(
                                    CODE,
                                    d.name(),
                                    says + ", unless one is an eSIM: a sheet does not say.",
                                    "Enter the size of each SIM, and whether the device takes an eSIM."));
        }
        if (d.modems().isPresent() && all > d.modems().getAsInt()) {
            boolean switches = d.can(Feature.FAILOVER).orElse(false);
            return List.of(FitFinding.note(
                    CODE,
                    d.name(),
                    all + " cards and " + Words.count(d.modems().getAsInt()) + " modem"
                            + (d.modems().getAsInt() == 1 ? "" : "s")
                            + ": one SIM works at a time, the other is the fallback"
                            + (switches ? " that it switches to automatically." : " that you switch to by hand."),
                    ""));
        }
        return List.of();
    }

    private static int count(FitCase fit, Predicate<Sim> which) {
        return (int) fit.chain().sims().stream().filter(which).count();
    }
}
