package syntoma.core.fit;

import java.util.List;
import syntoma.core.chain.Port;
import syntoma.core.chain.Use;

/** Ports without a lead are streams that could be there. */
final class PortsLeftEmpty implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        List<Port> empty = fit.wiring().portsOver().stream()
                .filter(p -> p.use() == Use.CELLULAR)
                .toList();
        int connected = fit.wiring().of(Use.CELLULAR).size();
        int layers = fit.chain().device().map(d -> d.mostLayers().orElse(0)).orElse(0);
        if (empty.isEmpty() || connected == 0 || layers <= connected) {
            return List.of();
        }
        int could = Math.min(layers, connected + empty.size());
        return List.of(FitFinding.caution(
                "ports-empty",
                fit.device(),
                Words.capital(Words.count(connected)) + " of " + (connected + empty.size()) + " cellular ports used: "
                        + Words.streams(connected) + " of " + could + ".",
                "Take an antenna with " + could + " cellular leads."));
    }
}
