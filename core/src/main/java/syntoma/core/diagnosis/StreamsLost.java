package syntoma.core.diagnosis;

import java.util.List;
import java.util.Optional;
import syntoma.core.diagnosis.Claim.Cause;
import syntoma.core.diagnosis.Claim.Sure;
import syntoma.core.unit.Text;

/** One stream only, although two or more leads are there (docs/methods.md#11-diagnosis). */
final class StreamsLost implements Rule {
    @Override
    public Optional<Claim> look(Situation s) {
        if (s.chain().streams().orElse(2) != 1 || s.chain().leads() < 2) {
            return Optional.empty();
        }
        return Optional.of(new Claim(
                Cause.STREAMS_LOST,
                Sure.LIKELY,
                "Only one antenna stream works: near a tower two would carry about twice as much.",
                List.of(s.setup() + " has " + Text.count(s.chain().leads(), "lead") + " connected and 1 stream"),
                s.chain().hasBooster()
                        ? "A booster leaves one stream. Where the signal is not weak, connect the antenna straight to the device."
                        : "Check which ports the leads are on: two cellular ports, the device’s main one first."));
    }
}
