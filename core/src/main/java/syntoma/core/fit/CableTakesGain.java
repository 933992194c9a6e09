package syntoma.core.fit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import syntoma.core.band.Band;
import syntoma.core.chain.AntennaRun;
import syntoma.core.chain.Cable;
import syntoma.core.chain.CableChoice;
import syntoma.core.chain.Lead;
import syntoma.core.chain.Wiring;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;

/** Thin or long cable can take half of what the antenna gives, or all of it. */
final class CableTakesGain implements FitRule {
    private static final String CODE = "cable-takes-gain";
    /** A loss below this is not worth a word: chosen as what a reading moves by from one look to the next. */
    private static final double LEAST_DB = 2;
    /** Another class is named when it saves more than this: chosen, because less is within what sheets differ by. */
    private static final double WORTH_DB = 0.5;

    /** Each antenna on the highest band that it brings in, where cable takes most. */
    @Override
    public List<FitFinding> check(FitCase fit) {
        Map<String, FitFinding> byAntenna = new LinkedHashMap<>();
        List<Band> highestFirst = new ArrayList<>(fit.reach().working());
        highestFirst.sort(
                Comparator.comparingDouble((Band b) -> b.downlink().middleMhz()).reversed());
        for (Band band : highestFirst) {
            fit.best(band)
                    .filter(c -> !byAntenna.containsKey(c.lead().run().key()))
                    .flatMap(c -> finding(c, band.downlink().middleMhz()))
                    .ifPresent(f -> byAntenna.putIfAbsent(f.part(), f));
        }
        return List.copyOf(byAntenna.values());
    }

    private static Optional<FitFinding> finding(Wiring.Connection connection, double mhz) {
        AntennaRun run = connection.lead().run();
        Lead lead = connection.lead().lead();
        List<Cable> extension = run.extension(lead);
        double added = extension.stream().mapToDouble(Cable::lengthM).sum();
        double addedLoss = extension.stream()
                .mapToDouble(c -> c.cableClass().lossDb(mhz, c.lengthM()))
                .sum();
        double loss = addedLoss
                + lead.cableClass()
                        .map(k -> k.lossDb(mhz, lead.lengthM().orElse(0)))
                        .orElse(0.0);
        double gain = connection.lead().gainDbi(mhz).orElse(Double.NaN);
        if (loss < LEAST_DB || !(loss > gain / 2)) {
            return Optional.empty();
        }
        Sentence says = Sentence.of(
                Quantity.metres(Math.round((lead.lengthM().orElse(0) + added) * 10) / 10.0),
                " of cable costs " + Values.round(loss, 1) + " dB at " + Values.round(mhz, 0)
                        + " MHz; the antenna gives " + Values.round(gain, 1) + " dBi.");
        String name = run.antenna().name();
        String fix = fix(added, addedLoss, mhz);
        return Optional.of(
                loss >= gain ? FitFinding.caution(CODE, name, says, fix) : FitFinding.note(CODE, name, says, fix));
    }

    /** A lead that is fixed to its antenna keeps its class; the extension can be another. */
    private static String fix(double addedM, double addedLoss, double mhz) {
        if (addedM == 0) {
            return "Its lead is fixed, so choose no other cable: put the device closer and do not extend it.";
        }
        CableChoice best = CableChoice.over(addedM, mhz).stream()
                .filter(CableChoice::isBest)
                .findFirst()
                .orElseThrow();
        double saves = addedLoss - best.lossDb();
        return saves > WORTH_DB
                ? best.cableClass().name() + " for the extension saves " + Values.round(saves, 1) + " dB there."
                : "Shorten the run: put the device nearer to the antenna.";
    }
}
