package syntoma.core.fit;

import java.util.List;
import java.util.Optional;
import syntoma.core.chain.Feed;
import syntoma.core.chain.VoltageSystem;
import syntoma.core.power.Supply;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;

/** A vehicle’s battery runs through a range of volts; not every input takes that, and the remedy fits the case. */
final class SupplyRange implements FitRule {
    static final String CODE = "supply-range";
    /** An input narrower than this is one steady voltage: the width of a regulated supply's tolerance. */
    private static final double STEADY_V = 1;
    /** What the device has of PoE by IEEE 802.3af and 802.3at, in W. */
    private static final double AF_W = 12.95;

    private static final double AT_W = 25.5;
    /** A USB socket without negotiation: 5 V at 3 A (USB Type-C, table 4-17). */
    private static final double USB_W = 15;

    @Override
    public List<FitFinding> check(FitCase fit) {
        VoltageSystem system = fit.chain().vehicle().system();
        return PoweredPart.of(fit.chain()).stream()
                .flatMap(p -> finding(p, Supply.of(p.power(), system), system).stream())
                .toList();
    }

    private static Optional<FitFinding> finding(PoweredPart part, Supply supply, VoltageSystem system) {
        return switch (supply.way()) {
            case DIRECT, INVERTER, UNKNOWN -> Optional.empty();
            case USB ->
                Optional.of(fed(
                        part,
                        "runs from a USB socket, not from " + system.label() + " itself",
                        system.label() + " to USB supply",
                        ToBuy.USB_SUPPLY,
                        USB_W));
            case USB_PD ->
                Optional.of(fed(
                        part,
                        "runs from USB PD, not from " + system.label() + " itself",
                        system.label() + " to USB PD supply",
                        ToBuy.USB_SUPPLY,
                        Double.MAX_VALUE));
            case POE -> Optional.of(poe(part, system));
            case POE_PASSIVE -> Optional.of(passive(part, system));
            default -> Optional.of(converted(part, supply, system));
        };
    }

    private static FitFinding poe(PoweredPart part, VoltageSystem system) {
        boolean more = part.power().takes(Feed.POE_AT);
        String kind = more ? "802.3at" : "802.3af";
        return fed(
                part,
                "is fed over its network cable by PoE " + kind,
                "PoE injector " + kind + " for " + system.label(),
                ToBuy.POE_INJECTOR,
                more ? AT_W : AF_W);
    }

    private static FitFinding passive(PoweredPart part, VoltageSystem system) {
        String volts = part.power().passiveV().isPresent()
                ? "passive PoE of " + Values.format(part.power().passiveV().getAsDouble()) + " V"
                : "passive PoE of a voltage that its sheet does not state";
        FitFinding found = FitFinding.caution(
                CODE,
                part.name(),
                part.name() + " is fed over its network cable by " + volts + ", not from " + system.label()
                        + " itself and not by a standard PoE injector.",
                part.power().passiveV().isPresent()
                        ? "A passive injector of just that voltage, fed from " + system.label() + "."
                        : "Look up the voltage first; a wrong one destroys it.");
        return part.power().passiveV().isPresent()
                ? found.with(ToBuy.about("passive PoE injector", ToBuy.POE_INJECTOR))
                : found;
    }

    /** Fed by something that is no matter of volts, as long as it can draw what it needs. */
    private static FitFinding fed(PoweredPart part, String how, String what, double price, double mostW) {
        double draws = part.power().mostW().orElse(0);
        FitFinding found = draws > mostW
                ? FitFinding.caution(
                        CODE,
                        part.name(),
                        part.name() + " " + how + ", which gives it " + Values.format(mostW) + " W; it draws up to "
                                + Values.format(draws) + " W.",
                        "Feed it by another input.")
                : FitFinding.note(CODE, part.name(), part.name() + " " + how + ".", "A " + what + ".");
        return draws > mostW ? found : found.with(ToBuy.about(what, price));
    }

    private static FitFinding converted(PoweredPart part, Supply supply, VoltageSystem system) {
        FitFinding found = FitFinding.caution(
                CODE, part.name(), part.name() + " " + takes(part) + ": " + gives(part, system) + ".", "");
        String volts = supply.outV().isPresent()
                ? Values.format(Math.round(supply.outV().getAsDouble() * 10) / 10.0) + " V"
                : "";
        return switch (supply.way()) {
            case STABILISER -> remedy(found, volts + " stabiliser", "", ToBuy.STABILISER);
            case STEP_DOWN ->
                remedy(
                        found,
                        "step-down converter from " + system.label() + " to " + volts,
                        " A " + system.label() + " stabiliser would destroy it.",
                        ToBuy.CONVERTER);
            case STEP_UP ->
                remedy(found, "step-up converter from " + system.label() + " to " + volts, "", ToBuy.CONVERTER);
            default ->
                new FitFinding(
                        found.code(),
                        found.severity(),
                        found.part(),
                        found.says(),
                        Sentence.of("Look up the other end of its range: it decides the converter’s voltage."),
                        Optional.empty());
        };
    }

    private static FitFinding remedy(FitFinding found, String what, String more, double price) {
        return new FitFinding(
                found.code(),
                found.severity(),
                found.part(),
                found.says(),
                Sentence.of("A " + what + "." + more),
                Optional.of(ToBuy.about(what, price)));
    }

    private static String takes(PoweredPart part) {
        if (part.power().lowV().isEmpty()) {
            return "takes up to " + number(part.power().highV().orElseThrow()) + " V";
        }
        double low = part.power().lowV().getAsDouble();
        if (part.power().highV().isEmpty()) {
            return "takes " + number(low) + " V and more";
        }
        double high = part.power().highV().getAsDouble();
        return high - low < STEADY_V
                ? "needs " + number((low + high) / 2) + " V steady"
                : "takes " + number(low) + " to " + number(high) + " V";
    }

    private static String gives(PoweredPart part, VoltageSystem system) {
        boolean tooLow = part.power().highV().orElse(Double.MAX_VALUE) < system.highV();
        boolean tooHigh = part.power().lowV().orElse(0) > system.lowV();
        String charging = "a charging battery of " + system.label() + " gives up to " + number(system.highV()) + " V";
        String empty = "a nearly empty one gives " + number(system.lowV()) + " V";
        return tooLow && tooHigh
                ? charging + ", " + empty
                : tooLow
                        ? charging
                        : empty.replace("a nearly empty one", "a nearly empty battery of " + system.label());
    }

    private static String number(double volts) {
        return Values.round(volts, 1);
    }
}
