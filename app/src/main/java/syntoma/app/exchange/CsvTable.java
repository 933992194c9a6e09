package syntoma.app.exchange;

import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.SequenceInputStream;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.springframework.lang.Nullable;
import syntoma.app.platform.InvalidInput;
import syntoma.core.reading.Figure;
import syntoma.core.tabletext.Mapping;

/**
 * A CSV file of measurements, opened: its separator is found, its header understood, by the names of the contract or as its
 * owner said. Rows are then read one by one.
 */
final class CsvTable {
    private static final int LOOK_AHEAD = 64 * 1024;
    private static final List<Figure> REQUIRED =
            List.of(Figure.TAKEN_AT, Figure.CAMPSITE, Figure.SETUP, Figure.OUTCOME);

    private final CSVParser parser;
    private final Iterator<CSVRecord> records;
    private final char separator;
    private final Map<Figure, Integer> places = new EnumMap<>(Figure.class);
    private final Map<Integer, String> unknown = new TreeMap<>();
    private int width;
    private boolean unreadable;
    private @Nullable Figure twice;
    private List<String> header = List.of();
    private @Nullable Mapping mapping;
    private @Nullable Row mapped;
    private Map<Figure, String> texts = Map.of();

    /** One row, or why it cannot be told apart. */
    record Row(long line, List<String> cells, String fault) {}

    private CsvTable(Reader reader, char separator) throws IOException {
        this.separator = separator;
        this.parser = CSVFormat.RFC4180
                .builder()
                .setDelimiter(separator)
                .setIgnoreEmptyLines(true)
                .get()
                .parse(new FieldLimit(reader, separator));
        this.records = parser.iterator();
    }

    /**
     * Opens a file.
     *
     * @param mappings how a table with such headings is read, where its owner has said so
     * @throws InvalidInput in one sentence when it is no CSV file of measurements
     */
    static CsvTable open(InputStream in, Function<List<String>, Optional<Mapping>> mappings) throws IOException {
        CsvTable table = peek(in);
        table.understand(mappings);
        return table;
    }

    /** Opens a file whose header may be of any kind. */
    static CsvTable peek(InputStream in) throws IOException {
        byte[] head = in.readNBytes(LOOK_AHEAD);
        refuseOtherKinds(head);
        int bom =
                head.length >= 3 && head[0] == (byte) 0xEF && head[1] == (byte) 0xBB && head[2] == (byte) 0xBF ? 3 : 0;
        InputStream whole = new SequenceInputStream(new ByteArrayInputStream(head, bom, head.length - bom), in);
        Reader reader = new BufferedReader(
                new InputStreamReader(
                        whole,
                        StandardCharsets.UTF_8
                                .newDecoder()
                                .onMalformedInput(CodingErrorAction.REPORT)
                                .onUnmappableCharacter(CodingErrorAction.REPORT)),
                LOOK_AHEAD);
        String first = new String(head, bom, head.length - bom, StandardCharsets.UTF_8)
                .lines()
                .findFirst()
                .orElse("");
        CsvTable table = new CsvTable(reader, separator(first));
        table.readHeader();
        return table;
    }

    /** Whether numbers are written with a decimal comma; what a mapping gives has the point. */
    boolean decimalComma() {
        return mapping == null && separator != ',';
    }

    /** The headings as they stand. */
    List<String> header() {
        return header;
    }

    /** Whether the headings are those of the contract. */
    boolean isOfContract() {
        return REQUIRED.stream().allMatch(places::containsKey);
    }

    /** The next row, or null at the end; where the rest cannot be read, a row without cells says so, and is the last. */
    Row next() {
        if (unreadable) {
            return null;
        }
        long before = parser.getCurrentLineNumber() + 1;
        try {
            if (!records.hasNext()) {
                return null;
            }
            CSVRecord record = records.next();
            List<String> cells = new ArrayList<>(record.size());
            record.forEach(cells::add);
            return new Row(before, cells, fault(cells));
        } catch (UncheckedIOException | IllegalStateException broken) {
            Throwable cause = broken.getCause() == null ? broken : broken.getCause();
            if (cause instanceof CharacterCodingException) {
                throw notUtf8(before);
            }
            if (cause instanceof FieldLimit.TooLong) {
                throw new InvalidInput("file", cause.getMessage());
            }
            unreadable = true;
            return new Row(
                    before,
                    List.of(),
                    "a quote that opens on or after line " + before
                            + " is never closed, or text follows a closing quote; the rest of the file cannot be read");
        }
    }

    /** The text of a column in a row, with what protected it from a spreadsheet taken off; empty when missing. */
    String text(Row row, Figure column) {
        if (mapping != null) {
            if (row != mapped) {
                texts = mapping.texts(row.cells());
                mapped = row;
            }
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

    private String fault(List<String> cells) {
        if (cells.size() == width) {
            return "";
        }
        String hint = separator == ',' && cells.size() > width
                ? "; a number with a decimal comma, or a text with a comma, needs quotes"
                : "";
        return "the row has " + cells.size() + (cells.size() == 1 ? " column" : " columns") + ", the header has "
                + width + hint;
    }

    private void readHeader() {
        Row first = next();
        if (first == null) {
            throw new InvalidInput("file", "the file is empty; it needs a header and rows");
        }
        if (first.cells().isEmpty()) {
            throw new InvalidInput("file", "the header cannot be read: a quote in it is never closed");
        }
        header = first.cells();
        width = header.size();
        for (int i = 0; i < width; i++) {
            String label = header.get(i).strip();
            int place = i;
            Figure.labelled(label).ifPresentOrElse(column -> place(column, place), () -> unknown.put(place, label));
        }
    }

    private void understand(Function<List<String>, Optional<Mapping>> mappings) {
        if (isOfContract()) {
            if (twice != null) {
                throw new InvalidInput("file", "the header names the column " + twice.label() + " twice");
            }
            return;
        }
        mapping = mappings.apply(header).orElse(null);
        if (mapping != null) {
            return;
        }
        List<String> missing = REQUIRED.stream()
                .filter(c -> !places.containsKey(c))
                .map(c -> c.label())
                .toList();
        if (!missing.isEmpty()) {
            throw new InvalidInput(
                    "file",
                    "the header lacks " + String.join(", ", missing)
                            + "; a file of measurements needs taken_at, campsite, setup and outcome, or that you say which"
                            + " column is which");
        }
    }

    private void place(Figure column, int place) {
        if (places.put(column, place) != null) {
            twice = column;
        }
    }

    private static char separator(String header) {
        long commas = header.chars().filter(c -> c == ',').count();
        long semicolons = header.chars().filter(c -> c == ';').count();
        long tabs = header.chars().filter(c -> c == '\t').count();
        if (tabs > Math.max(commas, semicolons)) {
            return '\t';
        }
        return semicolons > commas ? ';' : ',';
    }

    private static void refuseOtherKinds(byte[] head) {
        if (head.length >= 2 && head[0] == 'P' && head[1] == 'K') {
            throw new InvalidInput(
                    "file", "the file is a zip archive or a spreadsheet workbook; export it as CSV first");
        }
        if (head.length >= 2 && (head[0] == (byte) 0xFF || head[0] == (byte) 0xFE) && (head[1] & 0xFE) == 0xFE) {
            throw new InvalidInput("file", "the file is encoded in UTF-16; save it as UTF-8");
        }
        for (byte b : head) {
            if (b == 0) {
                throw new InvalidInput("file", "the file is no text: it holds zero bytes");
            }
        }
    }

    private static InvalidInput notUtf8(long line) {
        return new InvalidInput(
                "file", "the file is not encoded in UTF-8 (on or after line " + line + "); save it as UTF-8");
    }
}
