package syntoma.core.fit;

import java.util.ArrayList;
import java.util.List;

/** What no sheet says cannot be judged: these results stay unknown rather than guessed. */
final class NotStated implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        List<FitFinding> findings = new ArrayList<>();
        fit.chain().device().ifPresent(d -> {
            missing(findings, d.name(), d.bands().isEmpty(), "bands");
            missing(findings, d.name(), d.ports().isEmpty() && d.takesAntennas().isEmpty(), "antenna ports");
            missing(findings, d.name(), d.layers().isEmpty(), "streams");
            boolean power = !d.power().mainsOnly() && d.power().lowV().isEmpty();
            missing(findings, d.name(), power, "input voltage");
        });
        fit.chain().antennas().forEach(run -> {
            missing(findings, run.antenna().name(), run.antenna().ranges().isEmpty(), "frequency ranges");
            missing(findings, run.antenna().name(), run.antenna().leads().isEmpty(), "leads");
        });
        fit.chain().booster().ifPresent(b -> {
            missing(findings, b.name(), b.uplink().isEmpty(), "uplink passbands");
            missing(findings, b.name(), b.downlink().isEmpty(), "downlink passbands");
        });
        return findings;
    }

    private static void missing(List<FitFinding> findings, String part, boolean missing, String what) {
        if (missing) {
            findings.add(FitFinding.note(
                    "not-stated",
                    part,
                    "The sheet of " + part + " does not state its " + what + ": what follows from it is unknown.",
                    "Enter it when you know."));
        }
    }
}
