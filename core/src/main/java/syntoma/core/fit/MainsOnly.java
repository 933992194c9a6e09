package syntoma.core.fit;

import java.util.List;
import syntoma.core.power.Supply;

/** What runs from mains alone needs an inverter, which costs energy all day. */
final class MainsOnly implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {
        String system = fit.chain().vehicle().system().label();
        return PoweredPart.of(fit.chain()).stream()
                .filter(p ->
                        Supply.of(p.power(), fit.chain().vehicle().system()).way() == Supply.Way.INVERTER)
                .map(p -> FitFinding.caution(
                        "mains-only",
                        p.name(),
                        p.name() + " runs on mains only: an inverter and its adapter waste about 28 % of the energy.",
                        "Take one with a " + system + " input, or plan for the inverter."))
                .toList();
    }
}
