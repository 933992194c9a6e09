package syntoma.core.fit;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import syntoma.core.chain.AntennaRun;
import syntoma.core.chain.Cable;
import syntoma.core.chain.CableClass;
import syntoma.core.chain.Connector;
import syntoma.core.chain.Joint;
import syntoma.core.chain.Use;
import syntoma.core.chain.Wiring;

/** F connectors and television cable are made for 75 Ω, radio gear for 50 Ω: it works, and a little is thrown back. */
final class Impedance implements FitRule {
    /** −10 log₁₀(1 − Γ²) with Γ = (75 − 50)/(75 + 50), at each change. */
    private static final String LOSS = "0.2 dB";

    @Override
    public List<FitFinding> check(FitCase fit) {
        List<FitFinding> findings = new ArrayList<>();
        for (Wiring.Connection c : fit.wiring().of(Use.CELLULAR)) {
            List<Integer> ohms = ohms(c).distinct().toList();
            if (ohms.size() > 1) {
                findings.add(FitFinding.note(
                        "impedance",
                        c.lead().run().antenna().name(),
                        "F connectors and television cable are made for 75 Ω, radio gear for 50 Ω: each change costs"
                                + " about " + LOSS + ", and filters may shift.",
                        "Use 50 Ω cable and connectors throughout."));
            }
        }
        return findings.stream().distinct().toList();
    }

    private static Stream<Integer> ohms(Wiring.Connection connection) {
        AntennaRun run = connection.lead().run();
        return Stream.of(
                        connection.lead().lead().cableClass().stream().map(CableClass::ohms),
                        run.extension(connection.lead().lead()).stream()
                                .map(Cable::cableClass)
                                .map(CableClass::ohms),
                        connection.joints().stream().map(Joint::outer).map(Connector::ohms),
                        connection.joints().stream().map(Joint::inner).map(Connector::ohms))
                .flatMap(s -> s);
    }
}
