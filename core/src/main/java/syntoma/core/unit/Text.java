package syntoma.core.unit;

import java.util.List;

/** Checks for texts that come from outside, and how they are shown in a message. Each is linear in the text's length. */
public final class Text {
    /** What of a value stands in a message about it. */
    private static final int SHOWN = 80;

    private Text() {}

    /** A value between quotation marks, no longer than a message bears; says so where it is missing. */
    public static String quote(String text) {
        return text == null ? "missing" : "“" + shortened(text.strip()) + "”";
    }

    /** A text cut after 80 characters, with a sign for each that cannot be seen. */
    public static String shortened(String text) {
        int end = Math.min(SHOWN, text.length());
        StringBuilder shown = new StringBuilder(end + 1);
        for (int i = 0; i < end; i++) {
            char c = text.charAt(i);
            shown.append(isUnseen(c) || Character.isSurrogate(c) && !isPaired(text, i) ? '\uFFFD' : c);
        }
        if (end > 0 && end < text.length() && Character.isHighSurrogate(text.charAt(end - 1))) {
            shown.setLength(end - 1);
        }
        return end < text.length() ? shown.append('…').toString() : shown.toString();
    }

    /**
     * A name without the space around it.
     *
     * @param longest in characters
     * @throws IllegalArgumentException when it is empty or too long, or holds a character that cannot be seen
     */
    public static String name(String field, String text, int longest) {
        String name = (text == null ? "" : text).strip();
        if (name.isEmpty() || name.length() > longest) {
            throw new IllegalArgumentException(
                    field + " has " + name.length() + " characters; allowed are 1 to " + longest);
        }
        return visible(field, name);
    }

    /**
     * A text of one line.
     *
     * @throws IllegalArgumentException when it holds a character that cannot be seen, naming it and its place
     */
    public static String visible(String field, String text) {
        return check(field, text, false);
    }

    /**
     * A text of several lines.
     *
     * @throws IllegalArgumentException when it holds a character that cannot be seen, other than a tab or a line's end
     */
    public static String lines(String field, String text) {
        return check(field, text, true);
    }

    private static String check(String field, String text, boolean lines) {
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            boolean lineEnd = c == '\n' || c == '\r' || c == '\t';
            if (isUnseen(c) && !(lines && lineEnd)) {
                throw new IllegalArgumentException(String.format(
                        "%s holds the control character U+%04X at place %d; allowed are characters that can be seen",
                        field, (int) c, i + 1));
            }
            if (Character.isSurrogate(c) && !isPaired(text, i)) {
                throw new IllegalArgumentException(
                        field + " holds half a character at place " + (i + 1) + "; allowed are whole ones");
            }
        }
        return text;
    }

    /** Control characters, ends of lines and paragraphs, and those that turn the direction of writing. */
    private static boolean isUnseen(char c) {
        int type = Character.getType(c);
        return type == Character.CONTROL
                || type == Character.LINE_SEPARATOR
                || type == Character.PARAGRAPH_SEPARATOR
                || c >= '\u202A' && c <= '\u202E'
                || c >= '\u2066' && c <= '\u2069'
                || c == '\uFEFF';
    }

    private static boolean isPaired(String text, int at) {
        char c = text.charAt(at);
        return Character.isHighSurrogate(c)
                ? at + 1 < text.length() && Character.isLowSurrogate(text.charAt(at + 1))
                : at > 0 && Character.isHighSurrogate(text.charAt(at - 1));
    }

    /** With its first letter in upper case, as a sentence begins. */
    public static String capital(String text) {
        return Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }

    /** Names in a row, as a person says them: “A, B and C”. */
    public static String list(List<String> names) {
        int last = names.size() - 1;
        return last < 1
                ? String.join("", names)
                : String.join(", ", names.subList(0, last)) + " and " + names.get(last);
    }

    /** A number of things: 1 run, 3 runs. */
    public static String count(int number, String thing) {
        return number + " " + thing + (number == 1 ? "" : "s");
    }

    /** A text as it was typed or copied, without blanks at its ends: blanks that do not break are blanks, marks that nobody sees are none. */
    public static String normalise(String text) {
        StringBuilder plain = new StringBuilder(text.length());
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c != '\u200b' && c != '\ufeff') {
                plain.append(Character.isSpaceChar(c) && c != '\n' ? ' ' : c);
            }
        }
        return plain.toString().strip();
    }
}
