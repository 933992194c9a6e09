package syntoma.core.fit;

import java.util.ArrayList;
import java.util.List;
import syntoma.core.chain.AntennaRun;
import syntoma.core.chain.Cable;
import syntoma.core.chain.Connector;
import syntoma.core.chain.Lead;
import syntoma.core.chain.Use;

/** An extension must go on the lead that it lengthens. */
final class CableEnds implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        List<FitFinding> findings = new ArrayList<>();
        for (AntennaRun run : fit.chain().antennas()) {
            for (Lead lead : run.antenna().leads(Use.CELLULAR)) {
                Connector end = lead.connector();
                for (Cable cable : run.extension()) {
                    if (!cable.first().mates(end) && !cable.second().mates(end)) {
                        findings.add(FitFinding.blocker(
                                "cable-ends",
                                cable.name(),
                                cable.name() + " has " + cable.first() + " and " + cable.second()
                                        + "; neither goes on " + end + " of "
                                        + run.antenna().name() + " " + lead.label()
                                        + ".",
                                "Take a cable with " + end.counterpart() + ", or an adapter."));
                    }
                    end = cable.first().mates(end) ? cable.second() : cable.first();
                }
            }
        }
        return findings.stream().distinct().toList();
    }
}
