package syntoma.core.sheettext;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

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

    static List<Line> of(String text) {
        List<Line> lines = new ArrayList<>();
        int number = 0;
        for (String line : text.split("[\n\r\u2028\u2029]", -1)) {
            number++;
            String stripped = line.replace('\u00a0', ' ').replace('\u202f', ' ').strip();
            String read = stripped.length() > LONGEST ? stripped.substring(0, LONGEST) : stripped;
            if (!read.isEmpty()) {
                lines.add(new Line(number, read, read.toLowerCase(Locale.ROOT), Token.of(read)));
            }
        }
        return lines;
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
    boolean ofWifi() {
        return says("wi-fi", "wifi", "wlan", "802.11");
    }

    /** Whether it is of satellite navigation. */
    boolean ofGnss() {
        return has("gps", "gnss", "galileo", "glonass");
    }

    /** Whether it is of the cellular network. */
    boolean ofCellular() {
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
