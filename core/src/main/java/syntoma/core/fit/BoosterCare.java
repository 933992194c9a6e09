package syntoma.core.fit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import syntoma.core.band.Band;
import syntoma.core.booster.UsableGain;
import syntoma.core.chain.Booster;
import syntoma.core.chain.Staircase;
import syntoma.core.chain.Wiring;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;

/** What is true of every booster and is not on its box: licence, ringing, and what it cannot do. */
final class BoosterCare implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {
        List<FitFinding> findings = new ArrayList<>();
        fit.chain().booster().ifPresent(b -> {
            findings.add(FitFinding.caution(
                    "booster-licence",
                    b.name(),
                    "A booster transmits. Depending on country and carrier it is free, registered, licensed or forbidden.",
                    "Before you switch it on, ask your carrier and check the rules of each country on your way."));
            rings(fit, b, findings);
            findings.add(FitFinding.note(
                    "booster-noise",
                    b.name(),
                    "It raises the level, not the quality: inside, SINR is never better than at its outside antenna,"
                            + " and where that hears nothing, it has nothing to amplify.",
                    ""));
        });
        return findings;
    }

    /** The band on which the antennas hear each other best decides. */
    private static void rings(FitCase fit, Booster booster, List<FitFinding> findings) {
        OptionalDouble rated = booster.gainDb();
        if (rated.isEmpty()) {
            return;
        }
        fit.reach().working().stream()
                .flatMap(band -> stable(fit, band).stream().boxed())
                .min(Comparator.naturalOrder())
                .filter(stable -> stable < rated.getAsDouble())
                .ifPresent(stable -> findings.add(FitFinding.caution(
                        "booster-rings",
                        booster.name(),
                        Sentence.of(
                                "Rated " + Values.format(rated.getAsDouble()) + " dB, stable up to about "
                                        + Values.round(stable, 0) + " dB with the antennas ",
                                Quantity.metres(Staircase.BOOSTER_APART_M),
                                " apart: above that it oscillates and shuts down."),
                        Sentence.of(
                                "Set its gain lower, or put ",
                                Quantity.metres(metres(rated.getAsDouble() - stable), 1),
                                " or a metal roof between the two antennas."))));
    }

    private static OptionalDouble stable(FitCase fit, Band band) {
        double mhz = band.downlink().middleMhz();
        OptionalDouble donor = fit.best(band)
                .map(Wiring.Connection::lead)
                .map(lead -> lead.gainDbi(mhz))
                .orElse(OptionalDouble.empty());
        return donor.isEmpty()
                ? donor
                : OptionalDouble.of(Staircase.usableGain(fit.chain(), donor.getAsDouble(), mhz)
                                .isolationDb(mhz)
                        - UsableGain.MARGIN_DB);
    }

    /** The distance with so many dB more between them: distance counts by 20 log₁₀. */
    private static double metres(double missingDb) {
        return Staircase.BOOSTER_APART_M * Math.pow(10, missingDb / 20);
    }
}
