package syntoma.app.logbook;

import java.util.regex.Pattern;

/**
 * Keeps a spreadsheet from running a text: one that starts with =, +, - or @, after any apostrophes, gets one apostrophe
 * more on export and loses one on import, so that the way there and back changes nothing.
 */
final class SpreadsheetGuard {
    private static final Pattern BARE = Pattern.compile("'*[=+\\-@].*", Pattern.DOTALL);
    private static final Pattern GUARDED = Pattern.compile("'+[=+\\-@].*", Pattern.DOTALL);

    private SpreadsheetGuard() {}

    static String on(String text) {
        return BARE.matcher(text).matches() ? "'" + text : text;
    }

    static String off(String text) {
        return !text.isEmpty()
                        && text.charAt(0) == '\''
                        && GUARDED.matcher(text).matches()
                ? text.substring(1)
                : text;
    }
}
