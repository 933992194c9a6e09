package syntoma.core.diagnosis;

import java.util.List;
import java.util.Optional;
import syntoma.core.chain.Source;
import syntoma.core.diagnosis.Claim.Cause;
import syntoma.core.diagnosis.Claim.Sure;

/** It answers late although nothing else is sent, on a network on the ground: a VPN, or a way over a far gateway. */
final class LateWhenIdle implements Rule {
    /** Methods, section 11. */
    private static final double LATE_MS = 120;

    private static final int FEWEST = 2;
    private static final int SURE = 3;

    @Override
    public Optional<Claim> look(Situation s) {
        List<ObservedRun> timed =
                s.lately().stream().filter(l -> l.idleMs().isPresent()).toList();
        if (s.chain().source() == Source.SATELLITE || timed.size() < FEWEST) {
            return Optional.empty();
        }
        double idle = Situation.median(timed, ObservedRun::idleMs).orElseThrow();
        if (idle <= LATE_MS) {
            return Optional.empty();
        }
        return Optional.of(
                new Claim(
                        Cause.LATE_WHEN_IDLE,
                        timed.size() >= SURE ? Sure.LIKELY : Sure.PERHAPS,
                        "Latency is high even when nothing else is sent: the route to the internet is long.",
                        List.of("latency " + EvidenceText.ms(idle) + " idle, " + EvidenceText.over(timed, "run")),
                        "Switch a VPN off for one run. If nothing changes, it is the carrier’s route, as when roaming: try another carrier."));
    }
}
