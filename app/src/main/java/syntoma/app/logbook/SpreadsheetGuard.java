package syntoma.app.logbook;

/**
 * Keeps a spreadsheet from running a text. A cell begins where the text begins, and, for a spreadsheet that splits elsewhere
 * than we do, after each semicolon, tab and end of a line; where one begins with =, +, - or @, after any spaces, quotation
 * marks and apostrophes, it gets one apostrophe more on export and loses one on import, so that the way there and back
 * changes nothing.
 */
final class SpreadsheetGuard {
    private SpreadsheetGuard() {}

    static String on(String text) {
        StringBuilder guarded = null;
        for (int cell = 0; cell >= 0; cell = next(text, cell)) {
            if (runs(text, cell)) {
                guarded = guarded == null ? new StringBuilder(text) : guarded;
                guarded.insert(cell + guarded.length() - text.length(), '\'');
            }
        }
        return guarded == null ? text : guarded.toString();
    }

    static String off(String text) {
        StringBuilder bare = null;
        for (int cell = 0; cell >= 0; cell = next(text, cell)) {
            if (cell < text.length() && text.charAt(cell) == '\'' && runs(text, cell + 1)) {
                bare = bare == null ? new StringBuilder(text) : bare;
                bare.deleteCharAt(cell + bare.length() - text.length());
            }
        }
        return bare == null ? text : bare.toString();
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
