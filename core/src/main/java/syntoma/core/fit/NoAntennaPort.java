package syntoma.core.fit;

import java.util.List;
import syntoma.core.chain.Device;
import syntoma.core.chain.Use;

/** An outside antenna needs a port; some devices have none. */
final class NoAntennaPort implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {
        Device device = fit.chain().device().orElse(null);
        boolean wanted = fit.chain().booster().isEmpty()
                && !fit.chain().leads(Use.CELLULAR).isEmpty();
        if (device == null || !wanted) {
            return List.of();
        }
        boolean none = device.statesPorts() && device.ports(Use.CELLULAR).isEmpty();
        return none
                ? List.of(FitFinding.blocker(
                        "no-antenna-port",
                        device.name(),
                        device.name() + " has no port for a cellular antenna, so the antenna does nothing.",
                        "Use another device, or put this one at a window."))
                : List.of();
    }
}
