package syntoma.core.fit;

import java.util.List;
import java.util.Optional;
import syntoma.core.chain.Device;
import syntoma.core.chain.InternalAntennas;
import syntoma.core.chain.Use;

/** What becomes of the device’s own antennas once a lead is plugged in. */
final class OwnAntennas implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        Optional<Device> device = fit.chain().device();
        if (device.isEmpty()
                || fit.wiring().of(Use.CELLULAR).isEmpty()
                || fit.chain().booster().isPresent()) {
            return List.of();
        }
        return device.get().internal().stream()
                .filter(i -> i == InternalAntennas.SWITCHED_BY_SETTING || i == InternalAntennas.STAY_ON)
                .map(i -> i == InternalAntennas.SWITCHED_BY_SETTING
                        ? FitFinding.note(
                                "own-antennas",
                                fit.device(),
                                "Its own antennas stay in use until you change a setting.",
                                "Set it to outside antennas once the leads are on.")
                        : FitFinding.note(
                                "own-antennas",
                                fit.device(),
                                "Its own antennas stay on too, so it still hears part of the signal inside.",
                                ""))
                .toList();
    }
}
