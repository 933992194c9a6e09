package syntoma.app.logbook;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.OptionalDouble;
import syntoma.core.reading.Quantity;

/** The numbers of a measurement with the digits they were written in. */
final class Numbers {
    private static final int COUNT = Quantity.values().length;

    private final double[] values = new double[COUNT];
    private final String[] written = new String[COUNT];

    Numbers() {
        Arrays.fill(values, Double.NaN);
        Arrays.fill(written, "");
    }

    /** Keeps a plain decimal number. */
    void put(Quantity quantity, String plainDecimal) {
        values[quantity.ordinal()] = Double.parseDouble(plainDecimal) + 0.0;
        written[quantity.ordinal()] = plainDecimal;
    }

    OptionalDouble get(Quantity quantity) {
        double value = values[quantity.ordinal()];
        return Double.isNaN(value) ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    Double boxed(Quantity quantity) {
        double value = values[quantity.ordinal()];
        return Double.isNaN(value) ? null : value;
    }

    boolean isEmpty() {
        return Arrays.stream(values).allMatch(Double::isNaN);
    }

    /** The bits of a value; one pattern for missing. */
    long bits(Quantity quantity) {
        return Double.doubleToLongBits(values[quantity.ordinal()]);
    }

    /** The digits as written where they are not the shortest form, joined by bars; empty when all are. */
    String digits() {
        String[] odd = new String[COUNT];
        boolean any = false;
        for (int i = 0; i < COUNT; i++) {
            boolean isOdd = !written[i].isEmpty() && !written[i].equals(shortest(values[i]));
            odd[i] = isOdd ? written[i] : "";
            any |= isOdd;
        }
        return any ? String.join("|", odd) : "";
    }

    /** A stored value as it was written. */
    static String text(Quantity quantity, Double value, String digits) {
        if (value == null) {
            return "";
        }
        String odd = digits == null ? "" : digits.split("\\|", -1)[quantity.ordinal()];
        return odd.isEmpty() ? shortest(value) : odd;
    }

    private static String shortest(double value) {
        if (value == Math.rint(value) && Math.abs(value) < 1e9) {
            return Long.toString((long) value);
        }
        String text = Double.toString(value);
        return text.indexOf('E') < 0 ? text : new BigDecimal(text).toPlainString();
    }
}
