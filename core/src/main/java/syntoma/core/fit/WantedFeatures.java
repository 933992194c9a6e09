package syntoma.core.fit;

import java.util.List;
import java.util.stream.Collectors;
import syntoma.core.chain.Device;
import syntoma.core.chain.Feature;

/** The must-haves of a need have to be on the device's sheet. */
final class WantedFeatures implements FitRule {
    private static final String CODE = "wanted-feature";

    @Override
    public List<FitFinding> check(FitCase fit) {
        List<Feature> wanted = fit.demand().features();
        if (wanted.isEmpty() || fit.chain().device().isEmpty()) {
            return List.of();
        }
        Device device = fit.chain().device().get();
        if (device.features().isEmpty()) {
            return List.of(FitFinding.note(
                    CODE,
                    device.name(),
                    "You need " + names(wanted) + "; whether " + device.name()
                            + " can do that is unknown, because its data sheet lists no features.",
                    "Look it up before you build it in."));
        }
        List<Feature> missing =
                wanted.stream().filter(f -> !device.can(f).orElse(true)).toList();
        return missing.isEmpty()
                ? List.of()
                : List.of(FitFinding.caution(
                        CODE,
                        device.name(),
                        device.name() + " does not do " + names(missing) + ", which you need.",
                        "Use another device, or do it on a computer behind it."));
    }

    private static String names(List<Feature> features) {
        return features.stream().map(Feature::label).collect(Collectors.joining(", "));
    }
}
