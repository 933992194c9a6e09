package syntoma.core.fit;

import java.util.List;
import java.util.Optional;
import syntoma.core.chain.Port;
import syntoma.core.chain.Use;
import syntoma.core.chain.Wiring;

/** With one lead only, the main port is the one that also sends. */
final class MainPort implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        List<Wiring.Connection> cellular = fit.wiring().of(Use.CELLULAR);
        List<Port> ports = fit.chain().device().map(d -> d.ports(Use.CELLULAR)).orElse(List.of());
        Optional<Port> main = ports.stream().filter(Port::isMain).findFirst();
        if (!fit.isWiringKnown() || fit.chain().booster().isPresent() || cellular.size() != 1 || ports.size() < 2) {
            return List.of();
        }
        if (main.isPresent() && !cellular.get(0).port().equals(main.get())) {
            return List.of(FitFinding.caution(
                    "main-port",
                    cellular.get(0).lead().label(),
                    "Only one lead is connected, to port "
                            + cellular.get(0).port().label()
                            + ", which only receives: nothing is sent through the antenna.",
                    "Use the main port, " + main.get().label() + "."));
        }
        return List.of(FitFinding.note(
                "main-port",
                fit.device(),
                "Only one lead: use the main port"
                        + main.map(p -> ", " + p.label()).orElse("") + ".",
                ""));
    }
}
