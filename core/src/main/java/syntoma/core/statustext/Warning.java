package syntoma.core.statustext;

import java.util.Locale;

/**
 * Something that is to be looked at before it is kept.
 *
 * @param line where it stands, from 1; 0 for the whole text
 */
public record Warning(Code code, String message, int line) {
    /** What it is about. */
    public enum Code {
        NOTHING_READ,
        IMPOSSIBLE_VALUE,
        BARS_ONLY,
        NEIGHBOURS_ONLY,
        TEST_FAILED,
        TWO_CARRIERS,
        AMBIGUOUS;

        /** The name in the API. */
        public String label() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }
}
