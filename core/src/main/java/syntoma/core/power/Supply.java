package syntoma.core.power;

import java.util.OptionalDouble;

/** What a vehicle's 12 V side gives and takes. */
public final class Supply {
    /** The range a vehicle battery runs through, from nearly empty to charging, in V. */
    public static final double LOW_V = 11.0;

    public static final double HIGH_V = 14.8;
    /** Efficiency of an inverter, and of a mains adapter behind it. */
    public static final double INVERTER = 0.85;

    public static final double ADAPTER = 0.85;

    private Supply() {}

    /** Wh a day at 12 V. */
    public static double whPerDay(double drawW, double hours) {
        return drawW * hours;
    }

    /** Wh a day when it runs from its mains adapter behind an inverter: the losses of both come on top. */
    public static double whPerDayThroughInverter(double drawW, double hours) {
        return whPerDay(drawW, hours) / (INVERTER * ADAPTER);
    }

    /** Whether an input range takes all that the vehicle gives; a range that is not stated does not. */
    public static boolean covers(OptionalDouble lowV, OptionalDouble highV) {
        return lowV.isPresent() && highV.isPresent() && lowV.getAsDouble() <= LOW_V && highV.getAsDouble() >= HIGH_V;
    }
}
