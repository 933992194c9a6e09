package syntoma.core.power;

import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.DoubleStream;
import syntoma.core.chain.Feed;
import syntoma.core.chain.PowerInput;
import syntoma.core.chain.VoltageSystem;
import syntoma.core.unit.Values;

/**
 * How a part is fed from a vehicle's battery.
 *
 * <pre>{@code
 * Supply.whPerDay(12, 24)                // 288.0
 * Supply.whPerDayThroughInverter(12, 24) // 398.6
 * }</pre>
 *
 * @param outV what the thing between has to give, in V; empty where nothing is between or its voltage is not known
 */
public record Supply(Way way, OptionalDouble outV) {
    /** Efficiency of an inverter, and of a mains adapter behind it. */
    public static final double INVERTER = 0.85;

    public static final double ADAPTER = 0.85;

    /** Above this no USB socket without negotiation goes (USB 2.0, section 7.2.1: 5.25 V, and 5.5 V as a device bears). */
    private static final double USB_MOST_V = 5.5;
    /** Usual voltages of converters in V, the commonest first. */
    private static final double[] USUAL_V = {12, 24, 48, 5, 9, 19, 20, 15, 18, 54};

    /** What it takes. */
    public enum Way {
        /** The battery's own voltage, from nearly empty to charging. */
        DIRECT,
        /** Its voltage held steady. */
        STABILISER,
        /** A converter to a voltage below all that the battery gives. */
        STEP_DOWN,
        /** A converter to a voltage above all that the battery gives. */
        STEP_UP,
        /** A converter of some kind: one end of the range is not stated. */
        CONVERTER,
        USB,
        USB_PD,
        POE,
        POE_PASSIVE,
        /** Its mains adapter behind an inverter. */
        INVERTER,
        /** The sheet does not say. */
        UNKNOWN
    }

    /** How a part is fed from a battery of a system. */
    public static Supply of(PowerInput input, VoltageSystem system) {
        if (input.isMainsOnly() || input.feeds().equals(Set.of(Feed.MAINS))) {
            return ofWay(Way.INVERTER);
        }
        OptionalDouble low = input.lowV();
        OptionalDouble high = input.highV();
        if (low.isEmpty() && high.isEmpty()) {
            return ofWay(other(input));
        }
        boolean tooLow = high.isPresent() && high.getAsDouble() < system.highV();
        boolean tooHigh = low.isPresent() && low.getAsDouble() > system.lowV();
        if (!tooLow && !tooHigh) {
            return ofWay(low.isPresent() && high.isPresent() ? Way.DIRECT : Way.UNKNOWN);
        }
        Way feed = other(input);
        if (feed != Way.UNKNOWN) {
            return ofWay(feed);
        }
        if (high.isPresent() && high.getAsDouble() <= USB_MOST_V) {
            return ofWay(Way.USB);
        }
        if (low.isEmpty() || high.isEmpty()) {
            return ofWay(Way.CONVERTER);
        }
        return converted(low.getAsDouble(), high.getAsDouble(), system);
    }

    private static Supply converted(double low, double high, VoltageSystem system) {
        if (high < system.lowV()) {
            return new Supply(Way.STEP_DOWN, OptionalDouble.of(usual(low, high)));
        }
        if (low > system.highV()) {
            return new Supply(Way.STEP_UP, OptionalDouble.of(usual(low, high)));
        }
        double from = Math.max(low, system.lowV());
        double to = Math.min(high, system.highV());
        boolean nominal = system.nominalV() >= from && system.nominalV() <= to;
        return new Supply(Way.STABILISER, OptionalDouble.of(nominal ? system.nominalV() : (from + to) / 2));
    }

    /** The commonest voltage that lies in a range; its middle where none does. */
    private static double usual(double low, double high) {
        return DoubleStream.of(USUAL_V)
                .filter(v -> v >= low && v <= high)
                .findFirst()
                .orElse((low + high) / 2);
    }

    /** A way that needs no range of volts. */
    private static Way other(PowerInput input) {
        if (input.takes(Feed.POE_AF) || input.takes(Feed.POE_AT)) {
            return Way.POE;
        }
        if (input.takes(Feed.POE_PASSIVE)) {
            return Way.POE_PASSIVE;
        }
        return input.takes(Feed.USB_PD) ? Way.USB_PD : input.takes(Feed.USB) ? Way.USB : Way.UNKNOWN;
    }

    private static Supply ofWay(Way way) {
        return new Supply(way, OptionalDouble.empty());
    }

    /** How it is fed, in words. */
    public String words(VoltageSystem system) {
        String volts =
                outV.isPresent() ? Values.format(Math.round(outV.getAsDouble() * 10) / 10.0) + " V" : "its own voltage";
        return switch (way) {
            case DIRECT -> "from " + system.label() + " as it is";
            case STABILISER -> "through a stabiliser of " + volts;
            case STEP_DOWN -> "through a step-down converter to " + volts;
            case STEP_UP -> "through a step-up converter to " + volts;
            case CONVERTER -> "through a converter to " + volts;
            case USB -> "from a USB socket";
            case USB_PD -> "from a USB PD socket";
            case POE -> "over its network cable, PoE";
            case POE_PASSIVE -> "over its network cable, passive PoE";
            case INVERTER -> "through an inverter and its mains adapter";
            case UNKNOWN -> "unknown, because its input is not stated";
        };
    }

    /** Wh a day from the battery. */
    public static double whPerDay(double drawW, double hours) {
        return drawW * hours;
    }

    /** Wh a day when it runs from its mains adapter behind an inverter: the losses of both come on top. */
    public static double whPerDayThroughInverter(double drawW, double hours) {
        return whPerDay(drawW, hours) / (INVERTER * ADAPTER);
    }
}
