package syntoma.core.fit;

import java.util.List;
import syntoma.core.power.Supply;
import syntoma.core.unit.Values;

/** A vehicle’s 12 V side runs from 11.0 to 14.8 V; not every input takes that. */
final class SupplyRange implements FitRule {
    static final String CODE = "supply-range";

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
        String takes = high - low < 1
                ? "needs " + Values.rounded((low + high) / 2, 1) + " V steady"
                : "takes " + Values.rounded(low, 1) + " to " + Values.rounded(high, 1) + " V";
        String gives = high < Supply.HIGH_V ? "a charging battery gives 14.4" : "a nearly empty battery gives 11.0";
        boolean usb = high < 6;
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
