package syntoma.core.place;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import net.sf.geographiclib.Geodesic;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * A place in degrees, north and east above 0.
 *
 * <p>Read from what people paste: decimal degrees with points or commas, degrees and minutes, degrees, minutes and seconds, letters or
 * signs for the hemisphere before or behind, in either order; a {@code geo:} address, a link to a map, JSON. Grids such as UTM are not
 * read.
 *
 * <pre>{@code
 * Coordinates.read("N 59° 19.758' E 18° 4.116'").lat(); // 59.3293
 * }</pre>
 */
public record Coordinates(double lat, double lon) {
    /** A tenth of a metre. */
    private static final int DECIMALS = 6;

    private static final int LONGEST = 2_000;

    /** Degrees, minutes and seconds of both. */
    private static final int MOST_NUMBERS = 6;

    private static final String NUMBER = "[0-9]{1,3}(?:[.,][0-9]+)?";
    private static final String SIGNED = "[-+−]?" + NUMBER;

    private static final Pattern WORDS =
            Pattern.compile("(?i)(?<!\\p{L})(?:latitude|lat|longitude|long|lon|lng)(?!\\p{L})\\.?\\s*[:=]?");

    /** A number, a letter of a hemisphere, or what stands between them. */
    private static final Pattern TOKEN = Pattern.compile(
            "(?<number>[-+−]?[0-9]{1,3}(?:[.,][0-9]+)?)|(?<letter>(?<!\\p{L})[NSEWOÖV](?!\\p{L}))|(?<between>[\\s,;/()\\[\\].:°º˚'′’´\"″”]+)");

    private static final Pattern DEGREES = Pattern.compile("(?<=[0-9])\\s?D(?:EG)?(?=[\\s0-9])");
    private static final Pattern MINUTES = Pattern.compile("(?<=[0-9])\\s?M(?:IN)?(?=[\\s0-9NSEWOÖV])");

    /** An S is of seconds only where degrees are a D, and south otherwise. */
    private static final Pattern SECONDS = Pattern.compile("(?<=[0-9])\\s?S(?:EC)?(?=\\s|$)");

    private static final Pattern GEO = Pattern.compile("(?i)geo:\\s*(?<a>" + SIGNED + ")\\s*,\\s*(?<b>" + SIGNED + ")");
    private static final Pattern NAMED = Pattern.compile("(?i)(?:m?lat(?:itude)?)[\"']?\\s*[:=]\\s*[\"']?(?<a>" + SIGNED
            + ")[\"']?[\\s,;&]+(?:[\"'a-z_]*?)(?:m?(?:lon|lng)(?:g?itude|g)?)" + "[\"']?\\s*[:=]\\s*[\"']?(?<b>"
            + SIGNED + ")");
    private static final Pattern GEOJSON = Pattern.compile(
            "(?i)[\"']coordinates[\"']\\s*:\\s*\\[\\s*(?<b>" + SIGNED + ")\\s*,\\s*(?<a>" + SIGNED + ")");
    private static final Pattern LINK = Pattern.compile("(?i)^\\w+://");
    private static final Pattern IN_LINK = Pattern.compile(
            "(?<![0-9.])(?<a>[-+]?[0-9]{1,2}\\.[0-9]{2,})(?:,|%2C|/|\\+|%20|;)+(?<b>[-+]?[0-9]{1,3}\\.[0-9]{2,})(?![0-9])");
    private static final Pattern DECIMAL_COMMAS =
            Pattern.compile("^\\s*(?<a>[-+−]?[0-9]{1,2},[0-9]+)\\s*[;,\\s]\\s*(?<b>[-+−]?[0-9]{1,3},[0-9]+)\\s*$");

    /** @throws IllegalArgumentException naming what lies off the globe */
    public Coordinates {
        Values.within("latitude", lat, -90, 90, "°");
        Values.within("longitude", lon, -180, 180, "°");
    }

    /**
     * Reads a text.
     *
     * @throws IllegalArgumentException where it is no pair of coordinates, or lies off the globe
     */
    public static Coordinates read(String text) {
        String plain = text.length() > LONGEST ? text.substring(0, LONGEST) : text;
        for (Pattern pattern : List.of(GEO, NAMED, GEOJSON)) {
            Matcher m = pattern.matcher(plain);
            if (m.find()) {
                return pair(m);
            }
        }
        if (LINK.matcher(plain).find()) {
            Matcher m = IN_LINK.matcher(plain);
            if (m.find()) {
                return pair(m);
            }
            throw unread(text);
        }
        Matcher commas = DECIMAL_COMMAS.matcher(plain);
        if (commas.matches()) {
            return pair(commas);
        }
        return parts(plain).orElseThrow(() -> unread(text));
    }

    private static IllegalArgumentException unread(String text) {
        return new IllegalArgumentException("coordinates are " + Text.quote(text)
                + "; allowed are latitude and longitude, such as 59.3293, 18.0686 or N 59° 19.758' E 18° 4.116'");
    }

    private static Coordinates pair(Matcher m) {
        return new Coordinates(number(m.group("a")), number(m.group("b")));
    }

    private static double number(String text) {
        return Double.parseDouble(text.replace(',', '.').replace('−', '-').replace("+", ""));
    }

    /** One of the two by its numbers: degrees, perhaps minutes and seconds, of which only the last may have decimals. */
    private static Optional<Double> degrees(List<String> numbers) {
        double size = 0;
        double part = 1;
        for (int i = 0; i < numbers.size(); i++) {
            double value = Math.abs(number(numbers.get(i)));
            boolean last = i == numbers.size() - 1;
            if (!last && value != Math.rint(value)
                    || i > 0 && !Character.isDigit(numbers.get(i).charAt(0))) {
                return Optional.empty();
            }
            if (i > 0) {
                Values.within(i == 1 ? "minutes" : "seconds", value, 0, 60, i == 1 ? "′" : "″");
            }
            size += value * part;
            part /= 60;
        }
        return Optional.of(number(numbers.get(0)) < 0 || numbers.get(0).startsWith("-") ? -size : size);
    }

    /** With marks in place of the letters that some write for degrees, minutes and seconds. */
    private static String withMarks(String upper) {
        if (!DEGREES.matcher(upper).find()) {
            return upper;
        }
        String degrees = DEGREES.matcher(upper).replaceAll("°");
        return SECONDS.matcher(MINUTES.matcher(degrees).replaceAll("'")).replaceAll("\"");
    }

    private static Optional<Coordinates> parts(String text) {
        String upper = withMarks(WORDS.matcher(text).replaceAll(" ").toUpperCase(Locale.ROOT));
        List<String> numbers = new ArrayList<>();
        List<String> letters = new ArrayList<>();
        Matcher m = TOKEN.matcher(upper);
        int end = 0;
        while (m.find() && m.start() == end && numbers.size() <= MOST_NUMBERS) {
            end = m.end();
            if (m.group("number") != null) {
                numbers.add(m.group("number"));
            } else if (m.group("letter") != null) {
                letters.add(m.group("letter"));
            }
        }
        boolean whole = end == upper.length() && numbers.size() >= 2 && numbers.size() <= MOST_NUMBERS;
        if (!whole || numbers.size() % 2 != 0 || letters.size() != 2 && !letters.isEmpty()) {
            return Optional.empty();
        }
        int half = numbers.size() / 2;
        Optional<Double> one = degrees(numbers.subList(0, half));
        Optional<Double> other = degrees(numbers.subList(half, numbers.size()));
        if (one.isEmpty() || other.isEmpty()) {
            return Optional.empty();
        }
        if (letters.isEmpty()) {
            return Optional.of(new Coordinates(one.get(), other.get()));
        }
        double first = withSign(one.get(), letters.get(0));
        double second = withSign(other.get(), letters.get(1));
        if (isLat(letters.get(0)) == isLat(letters.get(1))) {
            return Optional.empty();
        }
        return Optional.of(isLat(letters.get(0)) ? new Coordinates(first, second) : new Coordinates(second, first));
    }

    private static boolean isLat(String letter) {
        return letter.equals("N") || letter.equals("S");
    }

    /** South and west are below nought; the letters of other languages are east’s (O, Ö) and west’s (V). */
    private static double withSign(double degrees, String letter) {
        return "SWV".contains(letter) ? -Math.abs(degrees) : degrees;
    }

    /** Degrees as text, to a tenth of a metre. */
    public static String text(double degrees) {
        return Values.decimal(degrees, DECIMALS).stripTrailingZeros().toPlainString();
    }

    /** The way to another place along the ground, in km. */
    public double km(Coordinates other) {
        return Geodesic.WGS84.Inverse(lat, lon, other.lat, other.lon).s12 / 1_000;
    }
}
