package syntoma.core.chain;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import syntoma.core.unit.Text;

/**
 * How well a housing keeps dust and water out (IEC 60529), such as IP67.
 *
 * @param solids first numeral, 0 to 6; empty where the sheet has an X
 * @param water second numeral, 0 to 9; empty where the sheet has an X
 */
public record IpRating(OptionalInt solids, OptionalInt water) {
    private static final String SHAPE = "IP ?([0-6X])([0-9X])(?:K|[ABCDHMSW])*";
    private static final Pattern CODE = Pattern.compile(SHAPE, Pattern.CASE_INSENSITIVE);

    /** In a sentence; letters before it would make another word of it. */
    private static final Pattern IN_TEXT = Pattern.compile("\\b" + SHAPE + "\\b");

    /** Water jets from all directions: driving rain on the road is no less. */
    private static final int JETS = 5;

    /**
     * The rating of a code.
     *
     * @throws IllegalArgumentException naming the text and what is allowed
     */
    public static IpRating of(String text) {
        Matcher code = CODE.matcher(text.strip());
        if (!code.matches()) {
            throw new IllegalArgumentException(
                    "weather rating is " + Text.quote(text) + "; allowed is a code such as IP67");
        }
        return new IpRating(numeral(code.group(1)), numeral(code.group(2)));
    }

    /** The first rating that a line of a data sheet states. */
    public static Optional<IpRating> in(String line) {
        Matcher code = IN_TEXT.matcher(line);
        return code.find() ? Optional.of(of(code.group())) : Optional.empty();
    }

    private static OptionalInt numeral(String text) {
        return text.toUpperCase(Locale.ROOT).equals("X") ? OptionalInt.empty() : OptionalInt.of(Integer.parseInt(text));
    }

    /** Whether its sheet says that it does not keep out the rain of a drive. Where the numeral is missing nothing is claimed. */
    public boolean leaksInRain() {
        return water.isPresent() && water.getAsInt() < JETS;
    }

    /** As on a data sheet: IP67. */
    public String code() {
        return "IP" + letter(solids) + letter(water);
    }

    private static String letter(OptionalInt numeral) {
        return numeral.isPresent() ? Integer.toString(numeral.getAsInt()) : "X";
    }
}
