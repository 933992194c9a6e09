package syntoma.core.fit;

import java.util.ArrayList;
import java.util.List;
import syntoma.core.chain.Use;

/** A GNSS or Wi-Fi lead without a port of its kind stays capped; it is never put on another port. */
final class SpareLead implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        List<FitFinding> findings = new ArrayList<>();
        for (Use use : List.of(Use.GNSS, Use.WIFI)) {
            for (var lead : fit.wiring().leadsOver(use)) {
                findings.add(FitFinding.note(
                        "spare-lead",
                        lead.label(),
                        lead.label() + " is " + use.label() + ": " + fit.device() + " has no free port for it.",
                        "Leave its cap on."));
            }
        }
        return findings;
    }
}
