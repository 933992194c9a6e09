package syntoma.core.diagnosis;

import java.util.List;
import java.util.Optional;
import syntoma.core.diagnosis.Claim.Cause;
import syntoma.core.diagnosis.Claim.Sure;
import syntoma.core.trial.Outcome;

/** The cell is heard well, and nothing gets through: the plan, its access point name, or a SIM that is barred. */
final class NoData implements Rule {
    private static final int LOOKED_AT = 3;
    private static final int FEWEST = 2;

    /** Fair, by the grades of docs/methods.md#6-readings. */
    private static final double HEARD_DBM = -105;

    @Override
    public Optional<Claim> look(Situation s) {
        List<ObservedRun> lately = s.lately();
        List<ObservedRun> last = lately.subList(Math.max(0, lately.size() - LOOKED_AT), lately.size());
        List<ObservedRun> none = last.stream()
                .filter(l -> l.outcome() == Outcome.FAILED || l.outcome() == Outcome.TIMED_OUT)
                .filter(l -> l.rsrpDbm().orElse(Double.NEGATIVE_INFINITY) >= HEARD_DBM)
                .toList();
        if (none.size() < FEWEST) {
            return Optional.empty();
        }
        return Optional.of(
                new Claim(
                        Cause.NO_DATA,
                        Sure.LIKELY,
                        s.carrier()
                                + " has a good signal but no data gets through: the plan or a setting is the cause, not the antenna.",
                        List.of(none.size() + " of " + last.size() + " runs failed at "
                                + EvidenceText.dbm(Situation.median(none, ObservedRun::rsrpDbm)
                                        .orElseThrow()) + ", "
                                + EvidenceText.over(last, "run")),
                        "Check the plan’s data and end date, then the access point name (APN) in the router. Try the SIM in a phone."));
    }
}
