package syntoma.app.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.lang.Nullable;
import syntoma.app.csv.Cells;
import syntoma.app.csv.Cells.Row;
import syntoma.app.csv.CsvCells;
import syntoma.app.csv.SpreadsheetGuard;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.reading.Figure;
import syntoma.core.tabletext.Header;
import syntoma.core.tabletext.JoinedCells;
import syntoma.core.tabletext.Mapping;
import syntoma.core.tabletext.TransposedTable;

/**
 * A table of measurements, opened: its header is found and understood, by the names of the contract or as its owner said. Rows
 * are then read one by one.
 */
final class TableFile implements AutoCloseable {
    /** What of a file is enough to know its kind and its separator by. */
    private static final int LOOK_AHEAD = 64 * 1024;

    /** Rows of a table that lies on its side: more than there are figures and things to note. */
    private static final int MOST_TURNED = 100;

    private static final List<Figure> REQUIRED =
            List.of(Figure.TAKEN_AT, Figure.CAMPSITE, Figure.SETUP, Figure.OUTCOME);

    private final Cells cells;
    private final Deque<Row> ahead = new ArrayDeque<>();
    private final Map<Figure, Integer> places = new EnumMap<>(Figure.class);
    private final Map<Integer, String> unknown = new TreeMap<>();
    private List<String> header = List.of();
    private JoinedCells joined = JoinedCells.of(List.of());
    private @Nullable Figure twice;
    private @Nullable Mapping mapping;
    private @Nullable Row mapped;
    private Map<Figure, String> texts = Map.of();

    /** The row that was given last, with what its empty cells mean. */
    private List<String> over = List.of();

    /** Further measurements of the row that was given last. */
    private final Deque<Map<Figure, String>> beside = new ArrayDeque<>();

    private TableFile(Cells cells) {
        this.cells = cells;
    }

    /**
     * Opens a file.
     *
     * @param sheet of a workbook; empty for the first one with a table
     * @param mappings how a table with such headings is read, where its owner has said so
     * @throws InvalidInputException in one sentence when it is no table of measurements
     */
    static TableFile open(InputStream in, String sheet, Function<List<String>, Optional<Mapping>> mappings)
            throws IOException {
        TableFile table = peek(in, sheet);
        table.understand(mappings);
        return table;
    }

    /** Opens a file whose header may be of any kind. */
    static TableFile peek(InputStream in, String sheet) throws IOException {
        byte[] head = in.readNBytes(LOOK_AHEAD);
        TableFile table =
                new TableFile(WorkbookFile.isOne(head) ? WorkbookFile.open(head, in, sheet) : new CsvCells(head, in));
        table.readHeader();
        return table;
    }

    /** Whether numbers are written with a decimal comma; what a mapping gives has the point. */
    boolean hasDecimalComma() {
        return mapping == null && cells.hasDecimalComma();
    }

    /** The headings, those of several figures in one cell taken apart. */
    List<String> header() {
        return isOfContract() ? header : joined.headings();
    }

    Cells cells() {
        return cells;
    }

    /** Whether the headings are those of the contract. */
    boolean isOfContract() {
        return REQUIRED.stream().allMatch(places::containsKey);
    }

    /**
     * The next row, or null at the end; where the rest cannot be read, a row with a fault says so, and is the last. A row that holds
     * several measurements comes once for each of them.
     */
    @Nullable
    Row next() {
        if (!beside.isEmpty()) {
            texts = beside.remove();
            return mapped;
        }
        Row row = nextRow();
        if (mapping != null && row != null && row.fault().isEmpty()) {
            over = mapping.fill(row.cells(), over);
            beside.addAll(mapping.measurements(over));
            texts = beside.remove();
            mapped = row;
        }
        return row;
    }

    /** Whether more measurements of the row that was given last follow. */
    boolean hasBeside() {
        return !beside.isEmpty();
    }

    private @Nullable Row nextRow() {
        Row row = ahead.isEmpty() ? cells.next() : ahead.remove();
        while (row != null && !isOfContract() && row.fault().isEmpty() && isBlank(row.cells())) {
            row = cells.next();
        }
        return row == null ? null : separate(fitting(row));
    }

    private Row separate(Row row) {
        return isOfContract() || !row.fault().isEmpty() ? row : new Row(row.line(), joined.cells(row.cells()), "");
    }

    private Row fitting(Row row) {
        int width = header.size();
        List<String> given = row.cells();
        if (!row.fault().isEmpty() || given.size() == width) {
            return row;
        }
        String misfit = cells.misfit(given.size(), width);
        if (!misfit.isEmpty()) {
            return new Row(row.line(), given, misfit);
        }
        List<String> fitted = new ArrayList<>(given.subList(0, Math.min(given.size(), width)));
        while (fitted.size() < width) {
            fitted.add("");
        }
        return new Row(row.line(), fitted, "");
    }

    private static boolean isBlank(List<String> cells) {
        return cells.stream().allMatch(String::isBlank);
    }

    /** The text of a column in a row, with what protected it from a spreadsheet taken off; empty when missing. */
    String text(Row row, Figure column) {
        if (mapping != null) {
            return SpreadsheetGuard.off(texts.getOrDefault(column, ""));
        }
        if (column == Figure.NOTE && !unknown.isEmpty()) {
            return note(row);
        }
        Integer place = places.get(column);
        return place == null ? "" : SpreadsheetGuard.off(row.cells().get(place).strip());
    }

    private String note(Row row) {
        Integer place = places.get(Figure.NOTE);
        Stream<String> own = Stream.of(
                place == null ? "" : SpreadsheetGuard.off(row.cells().get(place).strip()));
        Stream<String> others = unknown.entrySet().stream()
                .filter(e -> !row.cells().get(e.getKey()).isBlank())
                .map(e -> e.getValue() + ": " + row.cells().get(e.getKey()).strip());
        return Stream.concat(own, others).filter(s -> !s.isEmpty()).collect(Collectors.joining("; "));
    }

    private void readHeader() {
        Row first = cells.next();
        if (first == null) {
            throw new InvalidInputException("file", "the file is empty; it needs a header and rows");
        }
        if (!first.fault().isEmpty()) {
            throw new InvalidInputException("file", "the header cannot be read: a quote in it is never closed");
        }
        take(first.cells());
        if (isOfContract()) {
            return;
        }
        List<Row> looked = new ArrayList<>(List.of(first));
        for (Row row = cells.next(); row != null; row = looked.size() < Header.LOOKED_AT ? cells.next() : null) {
            looked.add(row);
        }
        if (TransposedTable.isOne(completeRows(looked))) {
            turn(looked);
            return;
        }
        Header found = Header.of(completeRows(looked));
        take(found.headings());
        ahead.addAll(looked.subList(found.rows(), looked.size()));
    }

    private static List<List<String>> completeRows(List<Row> rows) {
        return rows.stream()
                .filter(row -> row.fault().isEmpty())
                .map(Row::cells)
                .toList();
    }

    /** A table that lies on its side has few rows; each of its columns is a measurement, and is named as one. */
    private void turn(List<Row> looked) {
        List<Row> rows = new ArrayList<>(looked);
        for (Row row = cells.next(); row != null && rows.size() < MOST_TURNED; row = cells.next()) {
            rows.add(row);
        }
        List<List<String>> turned = TransposedTable.of(
                completeRows(rows).stream().filter(row -> !isBlank(row)).toList());
        take(turned.get(0));
        for (int column = 1; column < turned.size(); column++) {
            ahead.add(new Row(column + 1, turned.get(column), ""));
        }
    }

    private void take(List<String> headings) {
        header = headings;
        joined = JoinedCells.of(headings);
        places.clear();
        unknown.clear();
        twice = null;
        for (int i = 0; i < header.size(); i++) {
            String label = header.get(i).strip();
            int place = i;
            Figure.fromLabel(label).ifPresentOrElse(column -> place(column, place), () -> unknown.put(place, label));
        }
    }

    private void understand(Function<List<String>, Optional<Mapping>> mappings) {
        if (isOfContract()) {
            if (twice != null) {
                throw new InvalidInputException("file", "the header names the column " + twice.label() + " twice");
            }
            return;
        }
        mapping = mappings.apply(joined.headings()).orElse(null);
        if (mapping != null) {
            return;
        }
        List<String> missing = REQUIRED.stream()
                .filter(c -> !places.containsKey(c))
                .map(Figure::label)
                .toList();
        throw new InvalidInputException(
                "file",
                "the header lacks " + String.join(", ", missing)
                        + "; a file of measurements needs taken_at, campsite, setup and outcome, or that you say which"
                        + " column is which");
    }

    private void place(Figure column, int place) {
        if (places.put(column, place) != null) {
            twice = column;
        }
    }

    @Override
    public void close() throws IOException {
        cells.close();
    }
}
