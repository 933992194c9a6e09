package syntoma.core.unit;

import java.util.Locale;

/**
 * A data rate as a person or a device writes it. Megabits and megabytes per second differ by eight, so a text without
 * a unit is read as Mb/s and says so.
 *
 * @param mbps the rate in Mb/s (10^6 bit/s)
 * @param isUnitStated whether the text named its unit
 * @param isInBytes whether the unit was in bytes
 */
public record DataRate(double mbps, boolean isUnitStated, boolean isInBytes) {
    /** A rate of 40 digits with its unit. */
    private static final int LONGEST = 60;

    /**
     * Reads a rate such as {@code 12.4}, {@code 12.4 Mb/s}, {@code 1,5 MB/s} or {@code 800 kbit/s}. Only the case of
     * the letter b tells bits from bytes.
     *
     * @throws IllegalArgumentException when the text is no rate, naming the text
     */
    public static DataRate parse(String text) {
        String rate = text.strip();
        if (rate.length() > LONGEST) {
            throw none(rate);
        }
        int digits = digits(rate, 0);
        int end = digits;
        if (digits > 0 && end < rate.length() && (rate.charAt(end) == '.' || rate.charAt(end) == ',')) {
            int fraction = digits(rate, end + 1);
            end = fraction > end + 1 ? fraction : end;
        }
        if (digits == 0) {
            throw none(rate);
        }
        double number = Double.parseDouble(rate.substring(0, end).replace(',', '.'));
        String unit = withoutPerSecond(rate.substring(end).strip());
        if (unit.isEmpty()) {
            return new DataRate(number, false, false);
        }
        double scale = scale(unit.charAt(0));
        String amount = Double.isNaN(scale) ? unit : unit.substring(1);
        boolean bytes =
                switch (amount) {
                    case "b", "bit", "bits" -> false;
                    case "B", "byte", "bytes", "Byte", "Bytes" -> true;
                    default -> throw none(rate);
                };
        return new DataRate(number * (Double.isNaN(scale) ? 1e-6 : scale) * (bytes ? 8 : 1), true, bytes);
    }

    private static int digits(String text, int from) {
        int end = from;
        while (end < text.length() && text.charAt(end) >= '0' && text.charAt(end) <= '9') {
            end++;
        }
        return end;
    }

    private static String withoutPerSecond(String unit) {
        for (String perSecond : new String[] {"/sec", "/s", "ps"}) {
            if (unit.endsWith(perSecond)) {
                return unit.substring(0, unit.length() - perSecond.length());
            }
        }
        return unit;
    }

    /** What one of a prefix is in mega; NaN when the letter is no prefix. */
    private static double scale(char prefix) {
        return switch (String.valueOf(prefix).toLowerCase(Locale.ROOT)) {
            case "k" -> 1e-3;
            case "m" -> 1;
            case "g" -> 1e3;
            default -> Double.NaN;
        };
    }

    private static IllegalArgumentException none(String rate) {
        return new IllegalArgumentException(
                Text.quote(rate) + " is no data rate; write a number, or one with Mb/s, MB/s, kb/s or Gb/s");
    }
}
