package syntoma.core.fit;

import java.util.List;
import syntoma.core.chain.Connector;
import syntoma.core.chain.Joint;
import syntoma.core.chain.Wiring;

/** Kinds that look alike go onto each other and make no contact: RP-SMA and SMA have no pin or two, TS9 and CRC9 do not sit. */
final class NoPin implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {
        return fit.wiring().connections().stream()
                .flatMap(c -> c.joints().stream()
                        .filter(j -> j.lacksAdapter() && j.outer().seemsToMate(j.inner()))
                        .map(j -> finding(c, j)))
                .toList();
    }

    private static FitFinding finding(Wiring.Connection connection, Joint joint) {
        Connector outer = joint.outer();
        String how = outer.joins().startsWith("screw")
                ? "looks the same and screws on, but the pins do not touch."
                : "looks alike and " + outer.joins() + ", but do not fit: the contact is not reliable.";
        return FitFinding.blocker(
                "no-pin",
                connection.lead().label(),
                outer + (joint == connection.atPort() ? " on a port with " : " on ") + joint.inner() + ": " + how,
                "Swap it for a lead or an adapter that ends in " + joint.inner().counterpart() + ".");
    }
}
