package syntoma.core.fit;

import java.util.List;
import syntoma.core.chain.Use;

/** Leads without a port are streams that are lost. */
final class StreamsLost implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        int connected = fit.wiring().of(Use.CELLULAR).size();
        int free = (int) fit.wiring().portsOver().stream()
                .filter(p -> p.use() == Use.CELLULAR)
                .count();
        int over = fit.wiring().leadsOver(Use.CELLULAR).size();
        if (!fit.isWiringKnown() || over <= free || connected == 0) {
            return List.of();
        }
        int leads = connected + over;
        return List.of(FitFinding.caution(
                "streams-lost",
                fit.wiring().leadsOver(Use.CELLULAR).get(0).label(),
                "Only " + connected + " of " + leads + " cellular leads have a port: " + Words.streams(connected) + ".",
                fit.chain().booster().isPresent()
                        ? "A booster carries one; leave the caps on the others."
                        : "Cap the others, or take a device with " + leads + " cellular ports."));
    }
}
