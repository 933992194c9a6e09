package syntoma.app.csv;

/**
 * Keeps a spreadsheet from running a text. A cell begins where the text begins, and, for a spreadsheet that splits elsewhere
 * than we do, after each semicolon, tab and end of a line; where one begins with =, +, - or @, after any spaces, quotation
 * marks and apostrophes, it gets one apostrophe more on export and loses one on import, so that the way there and back
 * changes nothing.
 */
public final class SpreadsheetGuard {
    private SpreadsheetGuard() {}

    public static String on(String text) {
        StringBuilder guarded = new StringBuilder(text.length() + 8);
        int taken = 0;
        for (int cell = 0; cell >= 0; cell = next(text, cell)) {
            if (runs(text, cell)) {
                guarded.append(text, taken, cell).append('\'');
                taken = cell;
            }
        }
        return taken == 0 && guarded.isEmpty()
                ? text
                : guarded.append(text, taken, text.length()).toString();
    }

    public static String off(String text) {
        if (text.indexOf('\'') < 0) {
            return text;
        }
        StringBuilder bare = new StringBuilder(text.length());
        int taken = 0;
        for (int cell = 0; cell >= 0; cell = next(text, cell)) {
            if (cell < text.length() && text.charAt(cell) == '\'' && runs(text, cell + 1)) {
                bare.append(text, taken, cell);
                taken = cell + 1;
            }
        }
        return taken == 0 ? text : bare.append(text, taken, text.length()).toString();
    }

    /** Where the next cell may begin; −1 when there is none. */
    private static int next(String text, int cell) {
        for (int i = cell; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == ';' || c == '\t' || c == '\n' || c == '\r') {
                return i + 1;
            }
        }
        return -1;
    }

    private static boolean runs(String text, int from) {
        int i = from;
        while (i < text.length() && (text.charAt(i) == ' ' || text.charAt(i) == '"' || text.charAt(i) == '\'')) {
            i++;
        }
        return i < text.length() && "=+-@".indexOf(text.charAt(i)) >= 0;
    }
}
