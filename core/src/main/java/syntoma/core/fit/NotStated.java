package syntoma.core.fit;

import java.util.ArrayList;
import java.util.List;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Device;
import syntoma.core.chain.Use;
import syntoma.core.power.Supply;

/** What no sheet says cannot be judged: these results stay unknown rather than guessed, and it is said what to look up. */
final class NotStated implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {
        List<FitFinding> findings = new ArrayList<>();
        Chain chain = fit.chain();
        chain.device().filter(d -> chain.isCellular()).ifPresent(d -> device(findings, chain, d));
        PoweredPart.of(chain).stream()
                .filter(p -> Supply.of(p.power(), chain.vehicle().system()).way() == Supply.Way.UNKNOWN)
                .forEach(p -> missing(
                        findings, p.name(), "input voltage", "Read it beside the socket, or on its mains adapter."));
        chain.antennas().forEach(run -> {
            if (!run.antenna().statesRanges()) {
                missing(findings, run.antenna().name(), "frequency ranges", "Look for MHz or GHz on its sheet.");
            }
            if (run.antenna().leads().isEmpty()) {
                missing(
                        findings,
                        run.antenna().name(),
                        "leads, or what each is for",
                        "Count the leads and read their tags.");
            }
        });
        chain.booster().ifPresent(b -> {
            if (b.uplink().isEmpty()) {
                missing(findings, b.name(), "uplink passbands", "Look for uplink or UL in MHz on its sheet.");
            }
            if (b.downlink().isEmpty()) {
                missing(findings, b.name(), "downlink passbands", "Look for downlink or DL in MHz on its sheet.");
            }
            if (b.donor().isEmpty()) {
                missing(findings, b.name(), "outer connector", "Read it at the socket marked outside or donor.");
            }
            if (b.gainDb().isEmpty()) {
                missing(findings, b.name(), "gain", "Look for dB on its sheet.");
            }
        });
        return findings;
    }

    private static void device(List<FitFinding> findings, Chain chain, Device d) {
        if (d.bands().isEmpty()) {
            missing(findings, d.name(), "bands", "Look for LTE B… and NR n… on its sheet.");
        }
        if (!d.statesPorts()) {
            missing(
                    findings,
                    d.name(),
                    "antenna ports, or what each is for",
                    "Count the sockets, and read the marks beside them for cellular, Wi-Fi and GNSS.");
        }
        if (d.layers().isEmpty()) {
            missing(findings, d.name(), "streams", "Look for 2x2 or 4x4 MIMO on its sheet.");
        }
        boolean alone = chain.leads(Use.CELLULAR).isEmpty() && chain.booster().isEmpty();
        if (alone && d.ownAntennas().isEmpty()) {
            missing(findings, d.name(), "own antennas", "Check whether it has antennas inside.");
        }
    }

    private static void missing(List<FitFinding> findings, String part, String what, String where) {
        findings.add(FitFinding.note(
                "not-stated",
                part,
                "The sheet of " + part + " does not state its " + what + ": what depends on it is unknown.",
                where));
    }
}
