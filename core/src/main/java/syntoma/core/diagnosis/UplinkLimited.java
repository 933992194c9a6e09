package syntoma.core.diagnosis;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.diagnosis.Claim.Cause;
import syntoma.core.diagnosis.Claim.Sure;

/** The mast is heard, and does not hear well: upload under a tenth of download, RSRP below −105 dBm (docs/methods.md#11-diagnosis). */
final class UplinkLimited implements Rule {
    private static final double TENTH = 0.1;
    private static final double WEAK_DBM = -105;

    @Override
    public Optional<Claim> look(Situation s) {
        List<ObservedRun> both = s.lately().stream()
                .filter(l -> l.downMbps().isPresent()
                        && l.upMbps().isPresent()
                        && l.rsrpDbm().isPresent())
                .toList();
        OptionalDouble level = Situation.median(both, ObservedRun::rsrpDbm);
        if (level.isEmpty() || level.getAsDouble() >= WEAK_DBM) {
            return Optional.empty();
        }
        double down = Situation.median(both, ObservedRun::downMbps).getAsDouble();
        double up = Situation.median(both, ObservedRun::upMbps).getAsDouble();
        if (up >= TENTH * down) {
            return Optional.empty();
        }
        return Optional.of(new Claim(
                Cause.UPLINK_LIMITED,
                both.size() >= 3 ? Sure.SURELY : Sure.LIKELY,
                "You hear the tower better than it hears you: the upload suffers.",
                List.of("upload " + EvidenceText.mbps(up) + " beside download " + EvidenceText.mbps(down) + " at "
                        + EvidenceText.dbm(level.getAsDouble()) + " " + EvidenceText.over(both, "run")),
                "Gain helps both ways: raise and aim the antenna, or lock a lower band, which reaches farther."));
    }
}
