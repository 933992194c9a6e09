package syntoma.core.diagnosis;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import syntoma.core.diagnosis.Claim.Cause;
import syntoma.core.diagnosis.Claim.Sure;
import syntoma.core.unit.Values;
import syntoma.core.verdict.MeasuredGain;

/**
 * The chain brings less than it should: measured more than 6 dB beneath its prediction (docs/methods.md#3-chain), or less since some day
 * than before, compared with other setups. From stay to stay the whole trip tells that, because where the vehicle is parked moves the
 * levels of each antenna in its own way; within a stay its hours do.
 */
final class ChainFault implements Rule {
    @Override
    public Optional<Claim> look(Situation s) {
        List<String> evidence = new ArrayList<>();
        boolean sure = s.chain().shortDb() > 0;
        if (sure) {
            evidence.add("measured at least " + Values.round(s.chain().shortDb(), 0)
                    + " dB beneath what its sheets promise, side by side with another setup");
        }
        s.heardLess()
                .ifPresent(less ->
                        evidence.add("since about " + EvidenceText.day(less.since()) + " " + s.setup() + " hears "
                                + Values.round(less.db(), 1)
                                + " dB less than before, compared with your other setups at the same stays"));
        HearsLess.of(s.setup(), s.runs()).ifPresent(less -> evidence.add(less.sentence(s.setup())));
        if (evidence.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Claim(
                Cause.CHAIN_FAULT,
                sure ? Sure.SURELY : Sure.LIKELY,
                "Something in " + s.setup() + " is faulty.",
                evidence,
                MeasuredGain.USUAL_CAUSES));
    }
}
