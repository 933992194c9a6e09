package syntoma.core.statustext;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Something that is to be looked at before it is kept.
 *
 * @param line where it stands, from 1; 0 for the whole text
 * @param doubt what can be asked about the network or the cell in use; empty where there is nothing to choose
 */
public record Warning(Code code, String message, int line, Optional<Doubt> doubt) {
    /** Nobody reads more of them of one text. */
    static final int MOST = 200;

    Warning(Code code, String message, int line) {
        this(code, message, line, Optional.empty());
    }

    /**
     * A figure that the text does not settle.
     *
     * @param field its name in the API
     * @param values what it may be
     */
    public record Doubt(String field, List<String> values) {}

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
