package syntoma.core.tabletext;

import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The names of bands as people write them: 3, B3, Band 3, LTE 3, n78, NR 78. */
final class BandText {
    private static final Pattern NR = Pattern.compile("(?:n|nr|5g)[ -]?0*(\\d{1,3})");
    private static final Pattern PLAIN = Pattern.compile("(?:b|band|lte|lte band|4g)?[ -]?0*(\\d{1,3})(?:\\.0+)?");

    /** Technologies of which a plain number names a band of NR. */
    private static final Set<String> NEW = Set.of("nr", "5g", "sa", "5g sa", "nr sa");

    private BandText() {}

    /**
     * The name as Syntoma writes it; what is no name of a band stays as it stands.
     *
     * @param technology what the same row says of it; a plain number is a band of LTE unless it says otherwise
     */
    static String of(String cell, String technology) {
        String plain = cell.strip().toLowerCase(Locale.ROOT);
        Matcher nr = NR.matcher(plain);
        if (nr.matches()) {
            return "n" + nr.group(1);
        }
        Matcher number = PLAIN.matcher(plain);
        if (!number.matches()) {
            return cell;
        }
        boolean isNew =
                plain.matches("[\\d.]+") && NEW.contains(technology.strip().toLowerCase(Locale.ROOT));
        return (isNew ? "n" : "B") + number.group(1);
    }
}
