package syntoma.core.unit;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** Tables of data that ship beside the code: comma-separated, lines that begin with # are comments. */
public final class Table {
    private Table() {}

    /** The rows of a table that is beside a class. */
    public static List<String[]> rows(Class<?> beside, String name) {
        try (BufferedReader reader =
                new BufferedReader(new InputStreamReader(beside.getResourceAsStream(name), StandardCharsets.UTF_8))) {
            return reader.lines()
                    .filter(line -> !line.startsWith("#"))
                    .map(line -> line.split(",", -1))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
