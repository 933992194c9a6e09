package syntoma.core.fit;

import java.util.List;

/** RP-SMA and SMA screw together and do not touch: there is no pin, or there are two. */
final class NoPin implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        return fit.wiring().connections().stream()
                .filter(c ->
                        c.lacksAdapter() && c.lead().end().seemsToMate(c.port().connector()))
                .map(c -> FitFinding.blocker(
                        "no-pin",
                        c.lead().label(),
                        c.lead().end() + " on a port with " + c.port().connector()
                                + ": looks alike, screws on, and the pins do not meet.",
                        "Swap it for a lead or an adapter that ends in "
                                + c.port().connector().counterpart() + "."))
                .toList();
    }
}
