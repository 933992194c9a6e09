package syntoma.core.fit;

import java.util.List;
import syntoma.core.chain.Joint;
import syntoma.core.chain.Wiring;

/** An extension must go on the lead that it lengthens, as it is or over adapters that the chain has. */
final class CableEnds implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {
        return fit.wiring().connections().stream()
                .flatMap(
                        c -> c.beforePort().stream().filter(Joint::lacksAdapter).map(j -> finding(c, j)))
                .distinct()
                .toList();
    }

    private static FitFinding finding(Wiring.Connection connection, Joint joint) {
        String antenna = connection.lead().run().antenna().name();
        return FitFinding.blocker(
                "cable-ends",
                antenna,
                "The extension has " + joint.inner() + "; it does not go on " + joint.outer() + " of " + antenna + ".",
                "Take a cable with " + joint.outer().counterpart() + ", or an adapter from " + joint.neededAdapter()
                        + ".");
    }
}
