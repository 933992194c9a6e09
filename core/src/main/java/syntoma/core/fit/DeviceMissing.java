package syntoma.core.fit;

import java.util.List;

/** A chain without a device receives nothing. */
final class DeviceMissing implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        return fit.chain().device().isPresent()
                ? List.of()
                : List.of(FitFinding.blocker(
                        "device-missing",
                        "device",
                        "No device is in the chain yet.",
                        "Choose a router, hotspot or phone."));
    }
}
