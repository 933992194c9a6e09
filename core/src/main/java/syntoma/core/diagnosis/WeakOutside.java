package syntoma.core.diagnosis;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.diagnosis.Claim.Cause;
import syntoma.core.diagnosis.Claim.Sure;

/** Even outside there is little to hear, so that no setting and no cable makes much of it. */
final class WeakOutside implements Rule {
    /** The lower half of weak; from there on speeds fall with each dB. Chosen. */
    static final double WEAK_DBM = -111;

    /** “No service” on a phone is noted as so much. */
    static final double NOTHING_DBM = -124;

    @Override
    public Optional<Claim> look(Situation s) {
        List<ObservedRun> lately = s.latelyOnCarrier();
        OptionalDouble heard = Situation.median(s.lately(), ObservedRun::rsrpDbm);
        OptionalDouble best =
                lately.stream().flatMapToDouble(l -> l.rsrpDbm().stream()).max();
        OptionalDouble outside = s.phoneOutsideDbm();
        boolean shielded = s.chain().inside().orElse(false);
        boolean weakPhone =
                outside.isPresent() && outside.getAsDouble() < WEAK_DBM && outside.getAsDouble() > NOTHING_DBM;
        boolean weakHeard = heard.isPresent()
                && heard.getAsDouble() < WEAK_DBM
                && best.getAsDouble() < WEAK_DBM + 4
                && !shielded
                && s.chain().shortDb() == 0;
        if (!weakPhone && !weakHeard
                || outside.isPresent() && outside.getAsDouble() >= WEAK_DBM
                || best.isPresent() && best.getAsDouble() >= WEAK_DBM + 4) {
            return Optional.empty();
        }
        List<String> evidence = new ArrayList<>();
        if (weakPhone) {
            evidence.add("a phone outside showed " + EvidenceText.dbm(outside.getAsDouble()));
        }
        if (weakHeard) {
            evidence.add(
                    "RSRP " + EvidenceText.dbm(heard.getAsDouble()) + " " + EvidenceText.over(s.lately(), "reading"));
        }
        return Optional.of(
                new Claim(
                        Cause.WEAK_OUTSIDE,
                        weakPhone && weakHeard ? Sure.SURELY : Sure.LIKELY,
                        "There is little signal of " + s.carrier() + " here, even outside.",
                        evidence,
                        "Raise the antenna, aim it, or try another carrier; a few steps away from trees can be worth more than a cable."));
    }
}
