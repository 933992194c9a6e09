package syntoma.core.tabletext;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import syntoma.core.reading.Figure;
import syntoma.core.unit.Table;

/**
 * What the heading of a column says.
 *
 * @param use of its column: the note where it says nothing that is known, left out where it is called after bars
 * @param figure of a column that holds one
 * @param unit that it names
 */
record Heading(Column.Use use, Optional<Figure> figure, Quantity unit) {
    /** Words of the longest name there is. */
    private static final int LONGEST_NAME = 4;

    private static final Map<String, String> NAMES = new HashMap<>();

    static {
        for (String[] row : Table.rows(Heading.class, "headings.csv")) {
            for (int i = 1; i < row.length; i++) {
                NAMES.putIfAbsent(row[i], row[0]);
            }
        }
        for (Figure figure : Figure.values()) {
            NAMES.put(words(figure.label()), figure.name());
            NAMES.put(words(figure.field()), figure.name());
        }
    }

    /** Reads a heading, such as “Download (MB/s)”, “Signal [dBm]” or “DL Mbit/s”. */
    static Heading of(String text) {
        List<String> words = List.of(words(text).split(" "));
        Quantity unit = unit(text);
        // the longest run of words that is known; what stands around it qualifies it, or is its unit
        for (int length = Math.min(words.size(), LONGEST_NAME); length > 0; length--) {
            for (int start = 0; start + length <= words.size(); start++) {
                String run = String.join(" ", words.subList(start, start + length));
                // the first of several runs side by side: DL1, DL2, DL3
                String named = NAMES.getOrDefault(run, NAMES.get(run.replaceFirst("\\d$", "")));
                if (named != null) {
                    return named(named, unit);
                }
            }
        }
        return new Heading(Column.Use.NOTE, Optional.empty(), unit);
    }

    private static Heading named(String name, Quantity unit) {
        return switch (name) {
            case "DATE" -> new Heading(Column.Use.DATE, Optional.empty(), unit);
            case "CLOCK" -> new Heading(Column.Use.CLOCK, Optional.empty(), unit);
            case "BARS" -> new Heading(Column.Use.LEFT_OUT, Optional.empty(), unit);
            default -> new Heading(Column.Use.FIGURE, Optional.of(Figure.valueOf(name)), unit);
        };
    }

    /** The unit that a heading names, in brackets or as its last words. */
    private static Quantity unit(String text) {
        int open = Math.max(text.lastIndexOf('('), text.lastIndexOf('['));
        int close = Math.max(text.lastIndexOf(')'), text.lastIndexOf(']'));
        if (open >= 0 && close > open) {
            Optional<Quantity> unit = Quantity.of(text.substring(open + 1, close));
            if (unit.isPresent()) {
                return unit.get();
            }
        }
        for (String word : text.strip().split("[\\s_,;]+")) {
            Optional<Quantity> unit = Quantity.of(word);
            if (unit.isPresent() && !word.equals("s")) {
                return unit.get();
            }
        }
        return Quantity.OWN;
    }

    /** A heading's words in lower case, single spaces between them, what stands in brackets left out. */
    static String words(String text) {
        StringBuilder words = new StringBuilder(text.length());
        int depth = 0;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == '(' || c == '[') {
                depth++;
            } else if (c == ')' || c == ']') {
                depth = Math.max(0, depth - 1);
            } else if (depth == 0) {
                boolean capital = i > 0 && Character.isUpperCase(c) && Character.isLowerCase(text.charAt(i - 1));
                boolean letter = Character.isLetterOrDigit(c);
                if ((capital || !letter) && words.length() > 0 && words.charAt(words.length() - 1) != ' ') {
                    words.append(' ');
                }
                if (letter) {
                    words.append(Character.toLowerCase(c));
                }
            }
        }
        return words.toString().strip().toLowerCase(Locale.ROOT);
    }
}
