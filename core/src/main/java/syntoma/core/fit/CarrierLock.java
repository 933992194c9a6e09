package syntoma.core.fit;

import java.util.List;
import syntoma.core.chain.Device;

/** A device that is locked to a carrier takes that one's cards alone. */
final class CarrierLock implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {
        Device device = fit.chain().device().orElse(null);
        String lock = device == null ? "" : device.lockedTo().orElse("");
        if (lock.isEmpty()) {
            return List.of();
        }
        return fit.chain().sims().stream()
                .filter(sim -> !sim.carrier().isEmpty() && !sim.carrier().equalsIgnoreCase(lock))
                .map(sim -> FitFinding.blocker(
                        "carrier-lock",
                        sim.name(),
                        device.name() + " is locked to " + lock + "; " + sim.name() + " is of " + sim.carrier() + ".",
                        "Ask who sold it, or " + lock + ", to unlock it, or use a SIM of " + lock + "."))
                .toList();
    }
}
