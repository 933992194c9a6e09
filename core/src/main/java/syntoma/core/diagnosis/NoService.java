package syntoma.core.diagnosis;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import syntoma.core.diagnosis.Claim.Cause;
import syntoma.core.diagnosis.Claim.Sure;
import syntoma.core.trial.Outcome;

/** Nothing gets through: the last attempts found no service, or failed without anything to hear. */
final class NoService implements Rule {
    private static final int LOOKED_AT = 3;

    @Override
    public Optional<Claim> look(Situation s) {
        List<ObservedRun> lately = s.lately();
        List<ObservedRun> last = lately.subList(Math.max(0, lately.size() - LOOKED_AT), lately.size());
        long none = last.stream().filter(NoService::isNone).count();
        boolean phone = s.phoneOutsideDbm().isPresent()
                && s.phoneOutsideDbm().getAsDouble() <= WeakOutside.NOTHING_DBM
                && lately.isEmpty();
        if (2 * none <= last.size() && !phone) {
            return Optional.empty();
        }
        List<String> evidence = new ArrayList<>();
        if (none > 0) {
            evidence.add(
                    none + " of " + last.size() + " attempts found no service, " + EvidenceText.over(last, "attempt"));
        }
        if (phone) {
            evidence.add("a phone outside showed no service");
        }
        List<String> others = s.runsHere(o -> o.hasSucceeded() && o.stay() == s.stay() && !s.isInUse(o)).stream()
                .map(o -> o.setup() + " on " + o.carrier())
                .distinct()
                .limit(3)
                .toList();
        String next = others.isEmpty()
                ? "Try the other carriers, then the highest antenna. If all are silent, drive on."
                : "Use " + others.stream().collect(Collectors.joining(" or ")) + ", which works here.";
        return Optional.of(new Claim(
                Cause.NO_SERVICE,
                none >= 2 ? Sure.SURELY : Sure.LIKELY,
                s.carrier() + " does not reach " + s.setup() + " here.",
                evidence,
                next));
    }

    private static boolean isNone(ObservedRun s) {
        return s.outcome() == Outcome.NO_SERVICE
                || !s.hasSucceeded()
                        && s.rsrpDbm().isEmpty()
                        && s.sinrDb().isEmpty()
                        && s.outcome() != Outcome.TIMED_OUT;
    }
}
