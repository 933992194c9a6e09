package syntoma.app.csv;

import java.io.IOException;
import java.util.List;
import java.util.OptionalInt;
import org.springframework.lang.Nullable;

/** The cells of a table, row by row, whatever file it comes from. */
public interface Cells extends AutoCloseable {
    /**
     * One row.
     *
     * @param line where it stands in the file, counted from 1
     * @param fault why its cells cannot be told apart; empty when they can
     */
    record Row(long line, List<String> cells, String fault) {}

    /** The next row, or null at the end; one with a fault is the last. */
    @Nullable
    Row next();

    /** Whether numbers are written with a decimal comma. */
    boolean hasDecimalComma();

    /** What is said of a row that has another number of cells than the header has; empty where that does not matter. */
    String misfit(int cells, int header);

    /** The names of the sheets to choose from, the one that is read first; none where the file has no sheets. */
    List<String> sheets();

    /** How many rows there are, where that is known before they are read. */
    OptionalInt size();

    @Override
    void close() throws IOException;
}
