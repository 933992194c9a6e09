package syntoma.core.sheettext;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import syntoma.core.unit.Text;

/**
 * A line of a sheet with its tokens.
 *
 * @param number from 1
 * @param text as it was pasted, without spaces at its ends
 * @param lower the same in lower case
 */
record Line(int number, String text, String lower, List<Token> tokens) {
    /** What follows is not read; no sheet says more in a line. */
    private static final int LONGEST = 1_000;

    private static final Pattern BULLET = Pattern.compile("^(?:[•‣▪●○◦*·»✓✔-]\\s+)+");
    private static final int LONGEST_VALUE = 120;
    private static final Pattern NAME = Pattern.compile("\\p{L}[\\p{L} /()&.-]{1,38}:?");
    /** What a sheet calls its figures; other words may as well be a statement of their own. */
    private static final Pattern LABEL = Pattern.compile(
            "(?iu)(?:max(?:imum|\\.)? |typical |rated |operating |supported |antenna |cable |input |output "
                    + "|external |internal |outdoor |outside |inside |indoor |donor |lte |4g |5g |cellular |mobile )*(?:price|preis|prix|precio|prezzo|pris|hinta|prijs|dimensions?|size|height|höhe|width"
                    + "|length|länge|weight|gain|gewinn|frequency(?: range| bands?)?|frequenz(?:bereich|en)?|bands?|bänder|bandes?|connectors?|anschlüsse?|connecteurs?"
                    + "|plugs?|sockets?|ports?|cable|kabel|câble|voltage|spannung|supply|versorgung|alimentation|power(?: consumption| supply| input)?|consumption"
                    + "|verbrauch|battery(?: life)?|akku|sim(?: cards?| size| slots?)?|e-?sim|wi-?fi|wlan|ethernet|lan|category|kategorie|download|upload|down|up"
                    + "|speed|modem|polari[sz]ation|mounting|mount|ground ?plane|isolation|output|uplink|downlink|donor|indoor"
                    + "|data|datenvolumen|allowance|volume|reset day|gnss|gps|mimo|pattern|cellular|mobile|lte|4g|5g|5g nr|\\p{Lu}{2} version)");

    private static final Pattern NETWORK = Pattern.compile(
            "(?iu)network|carrier|operator|provider|netz(?:betreiber)?|anbieter|opérateur|operador|operatore|operatör|operaattori");
    private static final Pattern VALUE = Pattern.compile(
            "(?iu)[0-9]|(?<!\\p{L})(?:sma|rp-sma|crc|fme|fakra|qma|mcx|mmcx|n|nano|micro|mini|full|yes|no|none|not|ja|nein|oui|non|omni\\p{L}*"
                    + "|directional|vertical|cross|magnet\\p{L}*|mast|roof|usb)(?!\\p{L})");

    static List<Line> of(String text) {
        List<Line> lines = new ArrayList<>();
        int number = 0;
        for (String line : text.split("[\n\r\u2028\u2029]", -1)) {
            number++;
            String stripped = BULLET.matcher(Text.normalise(line)).replaceFirst("");
            String read = stripped.length() > LONGEST ? stripped.substring(0, LONGEST) : stripped;
            if (!read.isEmpty()) {
                lines.add(new Line(number, read, read.toLowerCase(Locale.ROOT), Token.of(read)));
            }
        }
        return join(lines);
    }

    /** A name in a line of its own with the value below it, as pages show them in boxes; the first line is the thing’s own name. */
    private static List<Line> join(List<Line> lines) {
        List<Line> out = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            Line line = lines.get(i);
            boolean pair = i > 0
                    && i + 1 < lines.size()
                    && NAME.matcher(line.text).matches()
                    && lines.get(i + 1).text.indexOf(':') < 0
                    && (line.text.endsWith(":")
                            || LABEL.matcher(line.text).matches()
                                    && lines.get(i + 1).isValue()
                            || NETWORK.matcher(line.text).matches());
            out.add(pair ? line.with(lines.get(++i)) : line);
        }
        return out;
    }

    /** Whether it says how much or which, and not of what. */
    private boolean isValue() {
        return text.length() <= LONGEST_VALUE && VALUE.matcher(text).find();
    }

    private Line with(Line value) {
        String both = text.replaceFirst("\\s*:$", "") + ": " + value.text;
        return new Line(value.number, both, both.toLowerCase(Locale.ROOT), Token.of(both));
    }

    /** Whether one of some phrases stands in it. */
    boolean says(String... phrases) {
        for (String phrase : phrases) {
            if (lower.contains(phrase)) {
                return true;
            }
        }
        return false;
    }

    /** Whether one of some words stands in it as a word. */
    boolean has(String... words) {
        return tokens.stream().anyMatch(t -> t.is(words));
    }

    /** Whether it is of Wi-Fi. */
    boolean isOfWifi() {
        return says("wi-fi", "wifi", "wlan", "802.11");
    }

    /** Whether it is of satellite navigation. */
    boolean isOfGnss() {
        return has("gps", "gnss", "galileo", "glonass");
    }

    /** Whether it is of the cellular network. */
    boolean isOfCellular() {
        return says("lte", "cellular", "mobile", "mobilfunk", "modem", "4g", "5g", "e-utra", "wwan");
    }

    /** The token at a place; one that is nothing where there is none. */
    Token at(int i) {
        return i >= 0 && i < tokens.size() ? tokens.get(i) : NOTHING;
    }

    private static final Token NOTHING = new Token("", Double.NaN, 0, 0);

    /** The words from one token to another. */
    String words(int from, int to) {
        return text.substring(at(from).start(), at(to).end());
    }
}
