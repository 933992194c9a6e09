package syntoma.app.measurement;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.OptionalDouble;
import org.springframework.lang.Nullable;
import syntoma.core.reading.Figure;

/** The numbers of a measurement with the digits they were written in. */
public final class Numbers {
    /** The bits of a value that is missing. */
    static final long MISSING = Double.doubleToLongBits(Double.NaN);

    private static final int COUNT = Figure.numbers().size();

    private final double[] values = new double[COUNT];
    private final String[] written = new String[COUNT];

    Numbers() {
        Arrays.fill(values, Double.NaN);
        Arrays.fill(written, "");
    }

    /** Keeps a plain decimal number. */
    void put(Figure figure, String plainDecimal) {
        values[figure.measure().slot()] = Double.parseDouble(plainDecimal) + 0.0;
        written[figure.measure().slot()] = plainDecimal;
    }

    OptionalDouble get(Figure figure) {
        double value = values[figure.measure().slot()];
        return Double.isNaN(value) ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    Double boxed(Figure figure) {
        double value = values[figure.measure().slot()];
        return Double.isNaN(value) ? null : value;
    }

    boolean isEmpty() {
        return Arrays.stream(values).allMatch(Double::isNaN);
    }

    /** The bits of a value; one pattern for missing. */
    long bits(Figure figure) {
        return Double.doubleToLongBits(values[figure.measure().slot()]);
    }

    static long bits(@Nullable Double value) {
        return value == null ? MISSING : Double.doubleToLongBits(value);
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
    static String text(Figure figure, Double value, String digits) {
        if (value == null) {
            return "";
        }
        String odd = "";
        if (digits != null) {
            String[] slots = digits.split("\\|", -1);
            int slot = figure.measure().slot();
            // a row of before the figure was known has no place for it
            odd = slot < slots.length ? slots[slot] : "";
        }
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
