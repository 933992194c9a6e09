package syntoma.core.fit;

import java.util.List;
import syntoma.core.chain.Device;

/** A booster carries one stream, whatever the device could do, and that halves and quarters what a good signal can carry. */
final class BoosterStreams implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {
        int layers = fit.chain()
                .device()
                .map(Device::mostLayers)
                .filter(n -> n.isPresent())
                .map(n -> n.getAsInt())
                .orElse(0);
        return fit.chain().booster().stream()
                .filter(b -> layers > 1)
                .map(b -> FitFinding.note(
                        "booster-streams",
                        b.name(),
                        "A booster gives one stream; the device alone can use " + layers
                                + ". Where the signal is good, that alone can cost up to " + part(layers)
                                + " of the speed.",
                        "Measure with and without it at each camp."))
                .toList();
    }

    private static String part(int layers) {
        return switch (layers) {
            case 2 -> "half";
            case 3 -> "two thirds";
            case 4 -> "three quarters";
            default -> "most";
        };
    }
}
