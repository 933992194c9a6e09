package syntoma.core.fit;

import java.util.ArrayList;
import java.util.List;

/** More cards than slots do not fit; more cards than modems take turns. */
final class CardCount implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        int cards = fit.chain().sims().size();
        List<FitFinding> findings = new ArrayList<>();
        fit.chain().device().ifPresent(d -> {
            if (d.simSlots().isPresent() && cards > d.simSlots().getAsInt()) {
                findings.add(FitFinding.blocker(
                        "card-count",
                        d.name(),
                        cards + " cards for " + Words.count(d.simSlots().getAsInt()) + " slot"
                                + (d.simSlots().getAsInt() == 1 ? "." : "s."),
                        "Leave a card out of this setup."));
            } else if (d.modems().isPresent() && cards > d.modems().getAsInt()) {
                findings.add(FitFinding.note(
                        "card-count",
                        d.name(),
                        cards + " cards and " + Words.count(d.modems().getAsInt())
                                + " modem: one card works at a time.",
                        ""));
            }
        });
        return findings;
    }
}
