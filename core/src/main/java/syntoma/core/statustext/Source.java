package syntoma.core.statustext;

/**
 * Where a figure stands that was taken from a text.
 *
 * @param line from 1
 * @param field its name in the API
 * @param cell which of the cells it is of, from 0; {@link #NO_CELL} for what is said of the network or of a speed test
 */
public record Source(int line, String field, int cell) {
    public static final int NO_CELL = -1;
}
