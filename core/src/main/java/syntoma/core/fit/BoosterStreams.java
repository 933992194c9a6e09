package syntoma.core.fit;

import java.util.List;

/** A booster carries one stream, whatever the device could do. */
final class BoosterStreams implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        int layers = fit.chain().device().map(d -> d.mostLayers().orElse(0)).orElse(0);
        return fit.chain().booster().stream()
                .filter(b -> layers > 1)
                .map(b -> FitFinding.note(
                        "booster-streams",
                        b.name(),
                        "Through a booster there is one stream; the device alone can use " + layers + ".",
                        ""))
                .toList();
    }
}
