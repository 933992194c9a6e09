package syntoma.core.fit;

import java.util.List;
import java.util.OptionalDouble;
import syntoma.core.chain.Adapter;
import syntoma.core.chain.Device;
import syntoma.core.chain.Wiring;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;

/** Rigid adapters side by side need more room than ports often have. */
final class RigidAdapters implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {
        OptionalDouble spacing = fit.chain().device().map(Device::portSpacingMm).orElse(OptionalDouble.empty());
        List<Wiring.Connection> rigid = fit.wiring().connections().stream()
                .filter(c -> c.atPort().adapters().stream().anyMatch(Adapter::isRigid))
                .toList();
        if (spacing.isEmpty() || rigid.size() < 2) {
            return List.of();
        }
        double width = rigid.stream()
                .mapToDouble(c -> c.atPort().outer().widthMm())
                .max()
                .orElse(0);
        return width <= spacing.getAsDouble()
                ? List.of()
                : List.of(FitFinding.caution(
                        "rigid-adapters",
                        fit.device(),
                        Sentence.of(
                                "These ports sit ",
                                Quantity.millimetres(spacing.getAsDouble()),
                                " apart: rigid adapters of ",
                                Quantity.millimetres(width),
                                " will not fit side by side."),
                        "Use pigtails."));
    }
}
