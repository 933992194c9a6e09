package syntoma.core.fit;

import java.util.List;
import syntoma.core.chain.Device;
import syntoma.core.chain.Feature;
import syntoma.core.chain.Source;

/** A setup that draws on campground Wi-Fi needs a device that can be its client. */
final class SourceOfDevice implements FitRule {
    private static final String CODE = "source";

    @Override
    public List<FitFinding> check(FitCase fit) {
        if (fit.chain().settings().source() != Source.CAMPGROUND_WIFI
                || fit.chain().device().isEmpty()) {
            return List.of();
        }
        Device device = fit.chain().device().get();
        if (device.can(Feature.WIFI_SOURCE).isEmpty()) {
            return List.of(FitFinding.note(
                    CODE,
                    device.name(),
                    "Whether " + device.name()
                            + " can use campground Wi-Fi is unknown: its data sheet lists no features.",
                    "Look for client mode, Wi-Fi as WAN or repeater."));
        }
        return device.can(Feature.WIFI_SOURCE).get()
                ? List.of()
                : List.of(FitFinding.blocker(
                        CODE,
                        device.name(),
                        device.name() + " cannot use campground Wi-Fi: its data sheet does not list Wi-Fi as a source.",
                        "Use a device that can be a Wi-Fi client, or another source."));
    }
}
