package syntoma.core.diagnosis;

import java.util.List;
import java.util.Optional;
import syntoma.core.diagnosis.Claim.Cause;
import syntoma.core.diagnosis.Claim.Sure;
import syntoma.core.run.LatencyRise;

/** It answers late as soon as something is sent: the rise over idle makes calls suffer (docs/methods.md#7-runs). */
final class LatencyUnderLoad implements Rule {
    @Override
    public Optional<Claim> look(Situation s) {
        List<ObservedRun> both = s.lately().stream()
                .filter(l -> l.idleMs().isPresent() && l.loadedMs().isPresent())
                .toList();
        if (both.isEmpty()) {
            return Optional.empty();
        }
        double idle = Situation.median(both, ObservedRun::idleMs).getAsDouble();
        double loaded = Situation.median(both, ObservedRun::loadedMs).getAsDouble();
        LatencyRise rise = LatencyRise.of(idle, loaded);
        if (rise.compareTo(LatencyRise.CALLS_SUFFER) < 0) {
            return Optional.empty();
        }
        return Optional.of(new Claim(
                Cause.LATENCY_UNDER_LOAD,
                both.size() >= 3 ? Sure.SURELY : Sure.LIKELY,
                "Latency is high while something else is sent: " + rise.says() + ".",
                List.of("latency " + EvidenceText.ms(idle) + " idle and " + EvidenceText.ms(loaded) + " under load "
                        + EvidenceText.over(both, "run")),
                "Pause uploads and backups during calls, or limit them in the router to 80 % of the upload."));
    }
}
