package syntoma.core.fit;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.chain.Staircase;

/** A chain that hears less than the device’s own antenna inside is work for nothing. */
final class NoGain implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {
        if (fit.cellular().isEmpty()) {
            return List.of();
        }
        List<OptionalDouble> gains = fit.reach().working().stream()
                .map(fit::staircase)
                .flatMap(Optional::stream)
                .map(Staircase::deltaDb)
                .toList();
        boolean none = !gains.isEmpty() && gains.stream().allMatch(g -> g.isPresent() && g.getAsDouble() <= 0);
        return none
                ? List.of(FitFinding.caution(
                        "no-gain",
                        "chain",
                        "On every band the prediction is no better than the device’s own antenna inside.",
                        "Put the antenna outside, or shorten the cable."))
                : List.of();
    }
}
