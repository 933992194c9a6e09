package syntoma.core.fit;

import java.util.List;

/** What runs from mains alone needs an inverter, which costs energy all day. */
final class MainsOnly implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        return PoweredPart.of(fit.chain()).stream()
                .filter(p -> p.power().mainsOnly())
                .map(p -> FitFinding.caution(
                        "mains-only",
                        p.name(),
                        p.name() + " runs on mains only: an inverter and its adapter take about 28 % of the energy.",
                        "Take one with a 12 V input, or plan for the inverter."))
                .toList();
    }
}
