package syntoma.core.fit;

import java.util.List;
import syntoma.core.chain.Joint;

/** FAKRA housings are keyed: where the coding of one is not stated, whether the two go together is not known. */
final class FakraCoding implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {
        return fit.wiring().connections().stream()
                .flatMap(c -> c.joints().stream()
                        .filter(j -> j.outer().isCodingOpen(j.inner()))
                        .map(j -> finding(c.lead().label(), j)))
                .toList();
    }

    private static FitFinding finding(String where, Joint joint) {
        return FitFinding.note(
                "fakra-coding",
                where,
                joint.outer() + " on " + joint.inner()
                        + ": one of them is stated without its coding, so whether the keys fit is unknown.",
                "Look for the letter, or compare the colour of the two housings; a neutral plug (Z) fits all.");
    }
}
