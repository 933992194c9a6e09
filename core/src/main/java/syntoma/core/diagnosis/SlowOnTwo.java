package syntoma.core.diagnosis;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.diagnosis.Claim.Cause;
import syntoma.core.diagnosis.Claim.Sure;

/**
 * Two carriers are slow at the same time, each with a clean signal: no cell of one of them explains that, a line that both use does
 * (docs/methods.md#11-diagnosis).
 */
final class SlowOnTwo implements Rule {
    /** As much as one changes SIMs in, or the router fails over. */
    private static final Duration TOGETHER = Duration.ofMinutes(90);

    @Override
    public Optional<Claim> look(Situation s) {
        List<ObservedRun> own = s.lately();
        if (own.isEmpty() || !CleanAndSlow.is(own, s)) {
            return Optional.empty();
        }
        ObservedRun last = own.get(own.size() - 1);
        return s.runsHere(o -> o.stay() == s.stay() && !o.carrier().equals(s.carrier()) && o.hasSucceeded()).stream()
                .filter(o -> Duration.between(o.at(), last.at()).abs().compareTo(TOGETHER) <= 0)
                .filter(o -> CleanAndSlow.is(List.of(o), s))
                .findFirst()
                .map(other -> claim(s, own, other));
    }

    private static Claim claim(Situation s, List<ObservedRun> own, ObservedRun other) {
        OptionalDouble down = Situation.median(own, ObservedRun::downMbps);
        return new Claim(
                Cause.SLOW_ON_TWO,
                Sure.LIKELY,
                s.carrier() + " and " + other.carrier()
                        + " are slow at the same time, both with a clean signal: the tower or its"
                        + " line, which both may use, is the limit.",
                List.of(
                        "download " + EvidenceText.mbps(down.orElseThrow()) + ", " + EvidenceText.over(own, "run"),
                        "download " + EvidenceText.mbps(other.downMbps().orElseThrow()) + ", "
                                + EvidenceText.over(List.of(other), "run")),
                "No antenna helps against that. Aim at another tower, try a third carrier, or wait for the night.");
    }
}
