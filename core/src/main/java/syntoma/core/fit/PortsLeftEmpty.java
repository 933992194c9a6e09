package syntoma.core.fit;

import java.util.List;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Device;
import syntoma.core.chain.Port;
import syntoma.core.chain.Use;

/** Ports without a lead are streams that could be there; leads that hang loose come before anything is bought. */
final class PortsLeftEmpty implements FitRule {
    private static final String CODE = "ports-empty";

    @Override
    public List<FitFinding> check(FitCase fit) {
        List<Port> empty = fit.wiring().portsOver().stream()
                .filter(p -> p.use() == Use.CELLULAR)
                .toList();
        int connected = fit.cellular().size();
        OptionalInt layers = fit.chain().device().map(Device::mostLayers).orElse(OptionalInt.empty());
        List<Chain.WiredLead> loose = fit.wiring().leadsOver(Use.CELLULAR);
        if (!fit.isWiringKnown()
                || empty.isEmpty()
                || connected == 0
                || fit.chain().booster().isPresent()) {
            return List.of();
        }
        if (layers.isEmpty() ? loose.isEmpty() : layers.getAsInt() <= connected) {
            return List.of();
        }
        int all = connected + empty.size();
        int could = layers.isEmpty() ? all : Math.min(layers.getAsInt(), all);
        return List.of(FitFinding.caution(
                CODE,
                fit.device(),
                Words.capital(Words.count(connected)) + " of " + all + " cellular ports used: "
                        + Words.streams(connected) + " of " + could + ".",
                loose.isEmpty()
                        ? "Take an antenna with " + could + " cellular leads."
                        : "First plug in the loose leads: "
                                + loose.stream()
                                        .limit(empty.size())
                                        .map(Chain.WiredLead::label)
                                        .collect(Collectors.joining(", "))
                                + "."));
    }
}
