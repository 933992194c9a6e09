package syntoma.core.fit;

import java.util.List;
import syntoma.core.chain.Staircase;
import syntoma.core.chain.Use;

/** A chain that hears less than the device’s own antenna inside is work for nothing. */
final class NoGain implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        List<Double> deltas = fit.wiring().of(Use.CELLULAR).isEmpty()
                ? List.of()
                : fit.bands().stream()
                        .map(b -> Staircase.of(
                                fit.chain(),
                                fit.wiring(),
                                (b.downlink().loMhz() + b.downlink().hiMhz()) / 2))
                        .filter(s -> s.deltaDb().isPresent())
                        .map(s -> s.deltaDb().getAsDouble())
                        .toList();
        if (deltas.isEmpty() || deltas.stream().anyMatch(d -> d > 0)) {
            return List.of();
        }
        return List.of(FitFinding.caution(
                "no-gain",
                "chain",
                "On every band the chain is predicted to hear no more than the device’s own antenna inside.",
                "Put the antenna outside, or shorten the cable."));
    }
}
