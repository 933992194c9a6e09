package syntoma.core.diagnosis;

import java.util.List;
import java.util.Optional;
import syntoma.core.diagnosis.Claim.Cause;
import syntoma.core.diagnosis.Claim.Sure;
import syntoma.core.unit.Values;

/** Outside there is enough, and the walls of the vehicle take it (outside − inside ≥ 8 dB; docs/methods.md#11-diagnosis). */
final class LostInShell implements Rule {
    private static final double LOSS_DB = 8;

    @Override
    public Optional<Claim> look(Situation s) {
        if (s.phoneOutsideDbm().isEmpty()
                || s.phoneInsideDbm().isEmpty()
                || s.chain().inside().filter(inside -> !inside).isPresent()) {
            return Optional.empty();
        }
        double outside = s.phoneOutsideDbm().getAsDouble();
        double inside = s.phoneInsideDbm().getAsDouble();
        if (outside - inside < LOSS_DB || outside <= WeakOutside.NOTHING_DBM) {
            return Optional.empty();
        }
        return Optional.of(new Claim(
                Cause.LOST_IN_SHELL,
                s.chain().inside().isPresent() ? Sure.SURELY : Sure.LIKELY,
                "The walls of the vehicle take " + Values.round(outside - inside, 0) + " dB of the signal.",
                List.of("a phone showed " + EvidenceText.dbm(outside) + " outside and " + EvidenceText.dbm(inside)
                        + " inside"),
                "Use an antenna outside, or put the device at a window."));
    }
}
