package syntoma.core.unit;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A data rate as a person or a device writes it. Megabits and megabytes per second differ by eight, so a text without
 * a unit is read as Mb/s and says so.
 *
 * @param mbps the rate in Mb/s (10^6 bit/s)
 * @param stated whether the text named its unit
 * @param bytes whether the unit was in bytes
 */
public record DataRate(double mbps, boolean stated, boolean bytes) {
    private static final Pattern TEXT = Pattern.compile(
            "\\s*([0-9]+(?:[.,][0-9]+)?)\\s*([kKmMgG]?)(b|bit|bits|B|byte|bytes|Byte|Bytes)?" + "(?:/s|ps|/sec)?\\s*");

    /**
     * Reads a rate such as {@code 12.4}, {@code 12.4 Mb/s}, {@code 1,5 MB/s} or {@code 800 kbit/s}. Only the case of
     * the letter b tells bits from bytes.
     *
     * @throws IllegalArgumentException when the text is no rate, naming the text
     */
    public static DataRate parse(String text) {
        Matcher matcher = TEXT.matcher(text);
        if (!matcher.matches() || (matcher.group(3) == null && !matcher.group(2).isEmpty())) {
            throw new IllegalArgumentException(
                    "“" + text.strip() + "” is no data rate; write a number, or one with Mb/s, MB/s, kb/s or Gb/s");
        }
        double number = Double.parseDouble(matcher.group(1).replace(',', '.'));
        String unit = matcher.group(3);
        if (unit == null) {
            return new DataRate(number, false, false);
        }
        double scale =
                switch (matcher.group(2).toLowerCase(Locale.ROOT)) {
                    case "k" -> 1e-3;
                    case "g" -> 1e3;
                    case "m" -> 1;
                    default -> 1e-6;
                };
        boolean bytes = Character.toLowerCase(unit.charAt(0)) == 'b' && unit.length() > 1
                ? unit.toLowerCase(Locale.ROOT).startsWith("byte")
                : unit.equals("B");
        return new DataRate(number * scale * (bytes ? 8 : 1), true, bytes);
    }
}
