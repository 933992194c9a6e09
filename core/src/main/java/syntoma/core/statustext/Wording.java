package syntoma.core.statustext;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import syntoma.core.unit.Table;

/**
 * The words of other languages and systems, put as those that read lines know them: “Pasmo: 20” as “band: 20”. What the network is
 * called is left as it stands, whatever its name means.
 */
final class Wording {
    private static final int MOST_WORDS = 4;
    private static final int SHORTEST = 2;

    /** The names behind which a network’s own name stands. */
    private static final Set<String> BEFORE_A_NAME = Set.of("operator", "network", "carrier", "provider");

    private static final String ENDS_A_NAME = ",;|\t";

    private static final Map<String, String> INSTEAD = new HashMap<>();

    /** By the hash of a first word, since nearly all words are none of these. */
    private static final boolean[] PERHAPS = new boolean[1 << 14];

    static {
        for (String[] row : Table.rows(Wording.class, "wording.csv")) {
            for (int i = 1; i < row.length; i++) {
                know(row[i], row[0]);
            }
        }
        BEFORE_A_NAME.forEach(name -> know(name, name));
    }

    private Wording() {}

    private static void know(String said, String instead) {
        INSTEAD.put(said, instead);
        PERHAPS[slot(said, 0, endOfWord(said, 0))] = true;
    }

    /** The lines as they are read. */
    static List<Lines.Line> of(List<Lines.Line> lines) {
        List<Lines.Line> read = new ArrayList<>(lines.size());
        for (Lines.Line line : lines) {
            // the one letter that is two when it is small
            read.add(normalise(
                    line.text().indexOf('İ') < 0
                            ? line
                            : line(line.number(), line.text().replace('İ', 'I'))));
        }
        return read;
    }

    private static Lines.Line normalise(Lines.Line line) {
        String lower = line.lower();
        StringBuilder out = null;
        int copied = 0;
        int at = 0;
        while (at < lower.length()) {
            if (!Character.isLetter(lower.charAt(at))) {
                at++;
                continue;
            }
            int end = endOfWord(lower, at);
            boolean perhaps = end - at >= SHORTEST && PERHAPS[slot(lower, at, end)] && isWord(lower, at, end);
            int to = perhaps ? longest(lower, at) : at;
            if (to == at) {
                at = end;
                continue;
            }
            String instead = INSTEAD.get(phrase(lower, at, to));
            if (!lower.startsWith(instead, at) || instead.length() != to - at) {
                out = out == null ? new StringBuilder(line.text().length() + 16) : out;
                out.append(line.text(), copied, at).append(instead);
                copied = to;
            }
            at = BEFORE_A_NAME.contains(instead) ? afterName(lower, to) : to;
        }
        if (out == null) {
            return line;
        }
        String text = out.append(line.text(), copied, line.text().length()).toString();
        return line(line.number(), text);
    }

    private static Lines.Line line(int number, String text) {
        return new Lines.Line(number, text, text.toLowerCase(Locale.ROOT));
    }

    /** Not within an address, a file's name or an identifier. */
    private static boolean isWord(String text, int from, int to) {
        boolean before = from == 0 || !Character.isDigit(text.charAt(from - 1));
        return before && (to == text.length() || !Character.isDigit(text.charAt(to)));
    }

    /** Where the most words that are known together end; {@code from} where none are. */
    private static int longest(String lower, int from) {
        int known = from;
        int end = endOfWord(lower, from);
        for (int words = 1; words <= MOST_WORDS; words++) {
            if (INSTEAD.containsKey(phrase(lower, from, end))) {
                known = end;
            }
            boolean more = end + 1 < lower.length()
                    && (lower.charAt(end) == ' ' || lower.charAt(end) == '-' || lower.charAt(end) == '_')
                    && Character.isLetter(lower.charAt(end + 1));
            if (!more) {
                return known;
            }
            end = endOfWord(lower, end + 1);
        }
        return known;
    }

    private static String phrase(String lower, int from, int to) {
        return lower.substring(from, to).replace('-', ' ').replace('_', ' ');
    }

    /** Behind what stands after a mark as the name of a network. */
    private static int afterName(String text, int from) {
        int at = from;
        while (at < text.length() && text.charAt(at) == ' ') {
            at++;
        }
        boolean mark = at < text.length() && ":=|\t>".indexOf(text.charAt(at)) >= 0 || at - from > 1;
        if (!mark) {
            return from;
        }
        at++;
        while (at < text.length() && ENDS_A_NAME.indexOf(text.charAt(at)) < 0) {
            at++;
        }
        return at;
    }

    private static int endOfWord(String text, int from) {
        int at = from;
        while (at < text.length() && Character.isLetter(text.charAt(at))) {
            at++;
        }
        return at;
    }

    private static int slot(String text, int from, int to) {
        int hash = 0;
        for (int i = from; i < to; i++) {
            hash = 31 * hash + text.charAt(i);
        }
        return (hash ^ hash >>> 14) & PERHAPS.length - 1;
    }
}
