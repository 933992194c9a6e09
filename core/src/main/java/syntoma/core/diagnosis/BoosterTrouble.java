package syntoma.core.diagnosis;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.diagnosis.Claim.Cause;
import syntoma.core.diagnosis.Claim.Sure;

/** A booster that oscillates, is overloaded, or has nothing to lift (docs/methods.md#4-boosters). */
final class BoosterTrouble implements Rule {
    private static final double NOTHING_DBM = -125;
    private static final double NOTHING_SINR_DB = -6;

    /** What other antennas outside hear is within so much of what the donor antenna does; chosen. */
    private static final double BESIDE_DB = 7;

    @Override
    public Optional<Claim> look(Situation s) {
        if (!s.chain().hasBooster()) {
            return Optional.empty();
        }
        List<String> evidence = new ArrayList<>();
        boolean reports = !s.chain().boosterReports().isEmpty();
        if (reports) {
            evidence.add("the booster itself reports: " + s.chain().boosterReports());
        }
        List<ObservedRun> beside = s.latelyOnCarrier().stream()
                .filter(o -> !o.setup().equals(s.setup()))
                .toList();
        OptionalDouble level = Situation.median(beside, ObservedRun::rsrpDbm);
        OptionalDouble sinr = Situation.median(beside, ObservedRun::sinrDb);
        long failed = s.lately().stream().filter(l -> !l.hasSucceeded()).count();
        boolean nothing =
                failed * 2 > s.lately().size() && level.isPresent() && level.getAsDouble() < NOTHING_DBM + 2 * BESIDE_DB
                        || s.phoneOutsideDbm().isPresent()
                                && s.phoneOutsideDbm().getAsDouble() < NOTHING_DBM + BESIDE_DB
                                && failed > 0
                        || sinr.isPresent() && sinr.getAsDouble() < NOTHING_SINR_DB;
        if (nothing) {
            level.ifPresent(dbm -> evidence.add("beside it another antenna outside hears " + EvidenceText.dbm(dbm)
                    + (failed > 0 ? ", and " + failed + " of " + s.lately().size() + " runs through it failed" : "")));
            s.phoneOutsideDbm().ifPresent(dbm -> evidence.add("a phone outside showed " + EvidenceText.dbm(dbm)));
        }
        if (evidence.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Claim(
                Cause.BOOSTER_TROUBLE,
                reports || failed >= 2 ? Sure.SURELY : Sure.LIKELY,
                reports
                        ? "The booster’s antennas disturb each other."
                        : "There is no signal here for the booster to amplify.",
                evidence,
                reports
                        ? "Turn its gain down or move its antennas farther apart, the inside one out of sight of the outside one."
                        : "Switch it off and use the antenna straight into the device, or raise the outside antenna."));
    }
}
