package syntoma.core.sheettext;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A word, a number or a mark of a line.
 *
 * @param text in lower case
 * @param value of a number, else NaN
 * @param start where it begins in the line
 * @param end behind its last character
 */
record Token(String text, double value, int start, int end) {
    private static final int LONGEST_NUMBER = 12;

    boolean isNumber() {
        return !Double.isNaN(value);
    }

    boolean is(String... words) {
        for (String word : words) {
            if (text.equals(word)) {
                return true;
            }
        }
        return false;
    }

    /** Whether it is a mark that joins the ends of a range. */
    boolean joinsRange() {
        return is("-", "–", "—", "~", "to", "bis", "…", "..", "...", "÷");
    }

    /** Whether it says times, as in 2 × 2. */
    boolean isTimes() {
        return is("x", "×", "*");
    }

    /** The tokens of a line: runs of letters, runs of digits with one point or comma between, single marks. */
    static List<Token> of(String line) {
        String lower = line.toLowerCase(Locale.ROOT);
        List<Token> tokens = new ArrayList<>();
        int i = 0;
        while (i < lower.length()) {
            char c = lower.charAt(i);
            int start = i;
            if (Character.isWhitespace(c)) {
                i++;
            } else if (isDigit(c)) {
                i = number(lower, i);
                tokens.add(new Token(lower.substring(start, i), value(lower.substring(start, i)), start, i));
            } else if (Character.isLetter(c) || c == '°' || c == 'µ') {
                boolean times = c == 'x' && i > 0 && isDigit(lower.charAt(i - 1)) && i + 1 < lower.length();
                if (times && Character.isLetter(lower.charAt(i + 1))) {
                    // 2xTS9 is 2 x TS9
                    i++;
                    tokens.add(new Token("x", Double.NaN, start, i));
                    continue;
                }
                while (i < lower.length() && (Character.isLetter(lower.charAt(i)) || lower.charAt(i) == '°')) {
                    i++;
                }
                tokens.add(new Token(lower.substring(start, i), Double.NaN, start, i));
            } else {
                i++;
                while (c == '.' && i < lower.length() && lower.charAt(i) == '.') {
                    i++;
                }
                tokens.add(new Token(lower.substring(start, i), Double.NaN, start, i));
            }
        }
        return tokens;
    }

    private static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }

    private static int number(String line, int from) {
        int i = from;
        while (i < line.length()
                && (isDigit(line.charAt(i))
                        || (line.charAt(i) == '.' || line.charAt(i) == ',')
                                && i + 1 < line.length()
                                && isDigit(line.charAt(i + 1)))) {
            i++;
        }
        return i;
    }

    /**
     * The value of digits with points and commas: the last of two kinds of marks is the decimal one; a mark that stands
     * more than once parts thousands.
     */
    static double value(String digits) {
        if (digits.length() > LONGEST_NUMBER) {
            return Double.NaN;
        }
        int point = digits.lastIndexOf('.');
        int comma = digits.lastIndexOf(',');
        int decimal = Math.max(point, comma);
        boolean both = point >= 0 && comma >= 0;
        boolean twice = decimal >= 0 && digits.indexOf(digits.charAt(decimal)) != decimal;
        StringBuilder plain = new StringBuilder();
        for (int i = 0; i < digits.length(); i++) {
            char c = digits.charAt(i);
            if (isDigit(c)) {
                plain.append(c);
            } else if (i == decimal && (both || !twice)) {
                plain.append('.');
            }
        }
        return Double.parseDouble(plain.toString());
    }
}
