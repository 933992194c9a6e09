package syntoma.core.fit;

import java.util.List;
import java.util.OptionalDouble;
import syntoma.core.band.Band;
import syntoma.core.chain.Staircase;
import syntoma.core.chain.Use;

/** A chain that hears less than the device’s own antenna inside is work for nothing. */
final class NoGain implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        if (fit.wiring().of(Use.CELLULAR).isEmpty()) {
            return List.of();
        }
        boolean known = false;
        for (Band band : fit.bands()) {
            double mhz = band.downlink().middleMhz();
            OptionalDouble delta = Staircase.of(fit.chain(), fit.wiring(), mhz).deltaDb();
            if (delta.orElse(0) > 0) {
                return List.of();
            }
            known |= delta.isPresent();
        }
        if (!known) {
            return List.of();
        }
        return List.of(FitFinding.caution(
                "no-gain",
                "chain",
                "On every band the chain is predicted to hear no more than the device’s own antenna inside.",
                "Put the antenna outside, or shorten the cable."));
    }
}
