package syntoma.core.fit;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import syntoma.core.chain.AntennaRun;
import syntoma.core.chain.Cable;
import syntoma.core.chain.CableChoice;
import syntoma.core.chain.Lead;
import syntoma.core.chain.Use;
import syntoma.core.chain.Wiring;
import syntoma.core.unit.Values;

/** Thin or long cable can take more than half of what the antenna gives. */
final class CableTakesGain implements FitRule {
    /** A loss below this is not worth a word: chosen as what a reading moves by from one look to the next. */
    private static final double LEAST_DB = 2;
    /** Another class is named when it saves more than this: chosen, because less is within what sheets differ by. */
    private static final double WORTH_DB = 0.5;

    @Override
    public List<FitFinding> check(FitCase fit) {

        return fit.wiring().of(Use.CELLULAR).stream()
                .limit(1)
                .flatMap(c -> fit.bands().stream()
                        .map(b -> b.downlink().middleMhz())
                        .max(Comparator.naturalOrder())
                        .flatMap(mhz -> finding(c, mhz))
                        .stream())
                .toList();
    }

    private static Optional<FitFinding> finding(Wiring.Connection connection, double mhz) {
        AntennaRun run = connection.lead().run();
        Lead lead = connection.lead().lead();
        double length = lead.lengthM().orElse(0)
                + run.extension().stream().mapToDouble(Cable::lengthM).sum();
        double loss = run.extension().stream()
                        .mapToDouble(c -> c.cableClass().lossDb(mhz, c.lengthM()))
                        .sum()
                + lead.cableClass()
                        .map(k -> k.lossDb(mhz, lead.lengthM().orElse(0)))
                        .orElse(0.0);
        double gain = run.antenna().gainDbi(mhz).orElse(Double.NaN);
        if (loss < LEAST_DB || !(loss > gain / 2)) {
            return Optional.empty();
        }
        CableChoice best = CableChoice.over(length, mhz).stream()
                .filter(CableChoice::best)
                .findFirst()
                .orElseThrow();
        double saves = loss - best.lossDb();
        return Optional.of(FitFinding.caution(
                "cable-takes-gain",
                run.antenna().name(),
                Values.plain(Math.round(length * 10) / 10.0) + " m of cable costs " + Values.rounded(loss, 1)
                        + " dB at " + Values.rounded(mhz, 0) + " MHz; the antenna gives " + Values.rounded(gain, 1)
                        + " dBi.",
                saves > WORTH_DB
                        ? best.cableClass().name() + " over all of it saves " + Values.rounded(saves, 1) + " dB there."
                        : "Shorten the run: put the device nearer to the antenna."));
    }
}
