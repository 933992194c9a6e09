package syntoma.core.diagnosis;

import java.util.List;
import java.util.Optional;
import syntoma.core.diagnosis.Claim.Cause;
import syntoma.core.diagnosis.Claim.Sure;
import syntoma.core.unit.Values;

/** The month's data is gone, as far as it was counted. */
final class AllowanceUsedUp implements Rule {
    @Override
    public Optional<Claim> look(Situation s) {
        if (s.plan().allowanceGb().isEmpty()
                || s.plan().usedGb() < s.plan().allowanceGb().getAsDouble()) {
            return Optional.empty();
        }
        return Optional.of(new Claim(
                Cause.ALLOWANCE_USED_UP,
                Sure.LIKELY,
                "This month’s data on " + s.carrier() + " is used up.",
                List.of(Values.round(s.plan().usedGb(), 1) + " of "
                        + Values.format(s.plan().allowanceGb().getAsDouble()) + " GB were counted"),
                "Use another SIM until the month starts again, or buy more data."));
    }
}
