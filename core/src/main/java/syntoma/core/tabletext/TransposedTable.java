package syntoma.core.tabletext;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import syntoma.core.reading.Figure;

/** A table with its headings in the first column and a measurement in each of the others. */
public final class TransposedTable {
    /** A table of measurements has at least a time, a figure, and something that says where or with what. */
    private static final int LEAST_HEADINGS = 3;

    private TransposedTable() {}

    /** Whether a table is one, by its first rows. */
    public static boolean isOne(List<List<String>> first) {
        List<Heading> down = first.stream()
                .filter(row -> !row.isEmpty())
                .map(row -> Heading.of(row.get(0)))
                .toList();
        List<Heading> across = first.isEmpty()
                ? List.of()
                : first.get(0).stream().skip(1).map(Heading::of).toList();
        return countKnown(down) >= LEAST_HEADINGS && hasMoment(down) && countKnown(across) == 0;
    }

    private static long countKnown(List<Heading> headings) {
        return headings.stream().filter(h -> !h.knownAs().isEmpty()).count();
    }

    private static boolean hasMoment(List<Heading> headings) {
        return headings.stream()
                .anyMatch(h -> h.use() == Column.Use.DATE
                        || h.figure().filter(f -> f == Figure.TAKEN_AT).isPresent());
    }

    /** The table with a row for each measurement, below the headings. */
    public static List<List<String>> of(List<List<String>> rows) {
        int width = rows.stream().mapToInt(List::size).max().orElse(0);
        List<List<String>> turned = new ArrayList<>();
        for (int column = 0; column < width; column++) {
            int at = column;
            turned.add(IntStream.range(0, rows.size())
                    .mapToObj(row -> at < rows.get(row).size() ? rows.get(row).get(at) : "")
                    .toList());
        }
        return List.copyOf(turned);
    }
}
