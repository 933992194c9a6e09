package syntoma.core.fit;

import java.util.List;
import syntoma.core.power.Supply;
import syntoma.core.unit.Values;

/** A vehicle’s 12 V side runs from 11.0 to 14.8 V; not every input takes that. */
final class SupplyRange implements FitRule {
    static final String CODE = "supply-range";
    /** An input narrower than this is one steady voltage: the width of a regulated supply's tolerance. */
    private static final double STEADY_V = 1;
    /** An input below this is fed from USB, whose supply ends at 5.5 V. */
    private static final double USB_V = 6;
    /** What a battery has while it is charged, as its owner reads it. */
    private static final double CHARGING_V = 14.4;

    @Override
    public List<FitFinding> check(FitCase fit) {

        return PoweredPart.of(fit.chain()).stream()
                .filter(p -> !p.power().mainsOnly()
                        && p.power().lowV().isPresent()
                        && p.power().highV().isPresent()
                        && !Supply.covers(p.power().lowV(), p.power().highV()))
                .map(SupplyRange::finding)
                .toList();
    }

    private static FitFinding finding(PoweredPart part) {
        double low = part.power().lowV().getAsDouble();
        double high = part.power().highV().getAsDouble();
        String takes = high - low < STEADY_V
                ? "needs " + Values.rounded((low + high) / 2, 1) + " V steady"
                : "takes " + Values.rounded(low, 1) + " to " + Values.rounded(high, 1) + " V";
        String gives = high < Supply.HIGH_V
                ? "a charging battery gives " + Values.plain(CHARGING_V)
                : "a nearly empty battery gives " + Values.rounded(Supply.LOW_V, 1);
        boolean usb = high < USB_V;
        return usb
                ? FitFinding.note(
                        CODE,
                        part.name(),
                        part.name() + " " + takes + ": it runs from a USB socket, not from 12 V itself.",
                        "A 12 V to USB converter.")
                : FitFinding.caution(
                        CODE, part.name(), part.name() + " " + takes + ": " + gives + ".", "A 12 V stabiliser.");
    }
}
