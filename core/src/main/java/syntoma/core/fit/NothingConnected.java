package syntoma.core.fit;

import java.util.List;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Device;
import syntoma.core.chain.Use;

/** A chain into which nothing brings a signal: no antenna and none inside, or leads of which none is plugged. */
final class NothingConnected implements FitRule {
    private static final String CODE = "nothing-connected";

    @Override
    public List<FitFinding> check(FitCase fit) {
        Chain chain = fit.chain();
        if (!chain.isCellular() || chain.device().isEmpty() || !fit.isWiringKnown()) {
            return List.of();
        }
        if (chain.booster().isPresent()) {
            return chain.leads(Use.CELLULAR).isEmpty()
                    ? List.of(FitFinding.blocker(
                            CODE,
                            chain.booster().get().name(),
                            chain.booster().get().name() + " has no antenna outside: it has nothing to boost.",
                            "Choose the antenna that goes to its outer connector."))
                    : unplugged(fit, chain.booster().get().name());
        }
        Device device = chain.device().get();
        if (!chain.leads(Use.CELLULAR).isEmpty()) {
            return unplugged(fit, device.name());
        }
        boolean deaf = device.ownAntennas().map(own -> !own).orElse(false);
        return deaf
                ? List.of(FitFinding.blocker(
                        CODE,
                        device.name(),
                        device.name() + " has no antenna of its own and none is connected: it receives nothing.",
                        "Choose an antenna for it."))
                : List.of();
    }

    private static List<FitFinding> unplugged(FitCase fit, String at) {
        boolean none = fit.cellular().isEmpty() && fit.chain().ports().stream().anyMatch(p -> p.use() == Use.CELLULAR);
        return none
                ? List.of(FitFinding.blocker(
                        CODE,
                        at,
                        "None of the cellular leads is plugged into " + at + ": the antenna does nothing.",
                        "Plug them as the wiring table says."))
                : List.of();
    }
}
