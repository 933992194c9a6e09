package syntoma.core.fit;

import java.util.List;

/** A lead on a port for something else hears nothing of use. */
final class WrongUse implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        return fit.wiring().connections().stream()
                .filter(c -> c.lead().lead().use() != c.port().use())
                .map(c -> FitFinding.blocker(
                        "wrong-use",
                        c.lead().label(),
                        c.lead().label() + " is for " + c.lead().lead().use().label() + ", but port "
                                + c.port().label() + " is for " + c.port().use().label() + ".",
                        "Swap the leads as the wiring table proposes."))
                .toList();
    }
}
