package syntoma.core.unit;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.OptionalDouble;
import java.util.regex.Pattern;

/** Checks for values that come from outside: the message names the field, the value and what is allowed. */
public final class Values {
    private Values() {}

    /**
     * Returns the value when it lies within the closed range.
     *
     * @param field the name a person knows the value by
     * @param unit written after the limits, may be empty
     * @throws IllegalArgumentException naming field, value and range; NaN is never in range
     */
    public static double within(String field, double value, double low, double high, String unit) {
        if (value >= low && value <= high) {
            return value;
        }
        String after = unit.isEmpty() ? "" : " " + unit;
        throw new IllegalArgumentException(
                field + " is " + format(value) + after + "; allowed is " + format(low) + " to " + format(high) + after);
    }

    private static final Pattern TYPED = Pattern.compile("[+-]?(?:[0-9]+\\.?[0-9]*|\\.[0-9]+)(?:[eE][+-]?[0-9]{1,3})?");

    /** A number as a person types it, with a point or a comma and any minus; empty where it is none, or too large for one. */
    public static OptionalDouble typed(String text) {
        String plain = text.strip().replace(',', '.').replace('−', '-').replace('–', '-');
        if (!TYPED.matcher(plain).matches()) {
            return OptionalDouble.empty();
        }
        double value = Double.parseDouble(plain);
        return Double.isFinite(value) ? OptionalDouble.of(value) : OptionalDouble.empty();
    }

    /** Returns the number without a needless fraction, with the typographic minus: −97, 12.5. */
    public static String format(double value) {
        double size = Math.abs(value);
        String text = value == Math.rint(value) && size < 1e15
                ? Long.toString((long) value)
                : size >= 1e-6 && size < 1e15
                        ? BigDecimal.valueOf(value).stripTrailingZeros().toPlainString()
                        : Double.toString(value);
        return text.replace('-', '−');
    }

    /** Returns a finite number with so many decimals. */
    public static BigDecimal decimal(double value, int decimals) {
        return BigDecimal.valueOf(value).setScale(decimals, RoundingMode.HALF_UP);
    }

    /** Returns the number rounded to a number of decimals, with the typographic minus. */
    public static String round(double value, int decimals) {
        String text = Double.isFinite(value) ? decimal(value, decimals).toPlainString() : Double.toString(value);
        boolean zero = text.chars().noneMatch(c -> c >= '1' && c <= '9');
        return zero ? text.replace("-", "") : text.replace('-', '−');
    }
}
