package syntoma.core.sentence;

import java.util.OptionalInt;
import syntoma.core.unit.Values;

/**
 * A unit that has another one in the imperial system, and how a value in it is written in either. Decibels, volts, seconds and rates
 * are the same for everyone and are no units of this kind.
 *
 * <p>Factors are exact by definition (NIST SP 811, 2008, appendix B.8): 1 ft = 0.3048 m, 1 in = 25.4 mm, 1 mi = 1609.344 m,
 * 1 lb = 0.45359237 kg.
 */
public enum Unit {
    /** A length that is walked, bought or raised: 4.5 m, 14.8 ft; under a foot in inches. */
    METRES("m") {
        @Override
        String imperial(double metres, OptionalInt decimals) {
            double feet = metres / M_PER_FT;
            return Math.abs(feet) < 1 && metres != 0
                    ? round(metres / M_PER_IN, 1) + " in"
                    : round(feet, Math.min(1, decimals.orElse(1))) + " ft";
        }
    },
    /** A place on a drawing, given to the centimetre: 0.50 m, 19.7 in. */
    DRAWN_METRES("m") {
        @Override
        String imperial(double metres, OptionalInt decimals) {
            return Values.round(metres / M_PER_IN, 1) + " in";
        }
    },
    /** A height over ground: 2.86 m, 9 ft 5 in. */
    HEIGHT_METRES("m") {
        @Override
        String imperial(double metres, OptionalInt decimals) {
            long inches = Math.round(metres / M_PER_IN);
            return inches < IN_PER_FT ? inches + " in" : inches / IN_PER_FT + " ft " + inches % IN_PER_FT + " in";
        }
    },
    KILOMETRES("km") {
        @Override
        String imperial(double km, OptionalInt decimals) {
            return round(km / KM_PER_MI, decimals.orElse(1)) + " mi";
        }
    },
    CENTIMETRES("cm") {
        @Override
        String imperial(double cm, OptionalInt decimals) {
            return round(cm / CM_PER_IN, 1) + " in";
        }
    },
    MILLIMETRES("mm") {
        @Override
        String imperial(double mm, OptionalInt decimals) {
            return Values.round(mm / MM_PER_IN, 2) + " in";
        }
    },
    SQUARE_CENTIMETRES("cm²") {
        @Override
        String imperial(double cm2, OptionalInt decimals) {
            return round(cm2 / (CM_PER_IN * CM_PER_IN), 1) + " in²";
        }
    },
    CELSIUS("°C") {
        @Override
        String imperial(double celsius, OptionalInt decimals) {
            return Values.round(celsius * 9 / 5 + 32, 0) + " °F";
        }
    },
    KILOGRAMS("kg") {
        @Override
        String imperial(double kg, OptionalInt decimals) {
            return round(kg / KG_PER_LB, 1) + " lb";
        }
    };

    private static final double M_PER_FT = 0.3048;
    private static final double M_PER_IN = 0.0254;
    private static final double CM_PER_IN = 2.54;
    private static final double MM_PER_IN = 25.4;
    private static final double KM_PER_MI = 1.609344;
    private static final double KG_PER_LB = 0.45359237;
    private static final int IN_PER_FT = 12;

    private final String symbol;

    Unit(String symbol) {
        this.symbol = symbol;
    }

    abstract String imperial(double value, OptionalInt decimals);

    String metric(double value, OptionalInt decimals) {
        return (decimals.isPresent() ? Values.round(value, decimals.getAsInt()) : Values.format(value)) + " " + symbol;
    }

    /** Rounded, without a needless fraction. */
    private static String round(double value, int decimals) {
        return Values.format(Values.decimal(value, decimals).doubleValue());
    }
}
