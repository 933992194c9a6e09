package syntoma.core.reading;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * A level that a phone shows, or its bars, which are noted and never computed with.
 *
 * @param dbm empty for no service, and where there are bars alone
 * @param bars as they were typed
 */
public record PhoneLevel(OptionalDouble dbm, Optional<String> bars) {
    private static final Pattern BARS = Pattern.compile("([0-9])(?: ?(?:of|/) ?[0-9])? ?bars?");

    private static final Pattern LEVEL = Pattern.compile("[-−–]?\\s*([0-9]{2,3}(?:[.,][0-9])?)\\s*(?:dbm)?");
    private static final Pattern NONE = Pattern.compile("no(?: |-|_)?(?:service|signal|network)|none|no|-|–|x");

    /** The range that phones show for LTE and NR (RSRP, methods section 6). */
    private static final double LEAST = -140;

    private static final double MOST = -44;

    /**
     * Reads what is typed: −97, 97, −97 dBm, no service, 3 bars.
     *
     * @throws IllegalArgumentException naming the text and what is allowed
     */
    public static PhoneLevel read(String text) {
        String plain = text.strip().toLowerCase(Locale.ROOT);
        if (NONE.matcher(plain).matches()) {
            return new PhoneLevel(OptionalDouble.empty(), Optional.empty());
        }
        if (BARS.matcher(plain).matches()) {
            return new PhoneLevel(OptionalDouble.empty(), Optional.of(plain));
        }
        Matcher m = LEVEL.matcher(plain);
        if (!m.matches()) {
            throw new IllegalArgumentException("level is " + Text.quote(text)
                    + "; allowed is −140 to −44 dBm, “no service”, or bars, which are only noted");
        }
        double dbm = -Double.parseDouble(m.group(1).replace(',', '.'));
        Values.within("level", dbm, LEAST, MOST, "dBm");
        return new PhoneLevel(OptionalDouble.of(dbm), Optional.empty());
    }
}
