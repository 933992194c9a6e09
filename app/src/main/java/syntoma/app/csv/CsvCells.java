package syntoma.app.csv;

import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.SequenceInputStream;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.OptionalInt;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.springframework.lang.Nullable;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.tabletext.Header;

/** The cells of a CSV file, in UTF-8; its separator is found. */
public final class CsvCells implements Cells {
    private static final int BUFFERED = 64 * 1024;

    private final CSVParser parser;
    private final Iterator<CSVRecord> records;
    private final char separator;
    private boolean unreadable;

    /**
     * Opens a file.
     *
     * @param head its beginning
     * @param rest what follows
     * @throws InvalidInputException in one sentence when it is another kind of file
     */
    public CsvCells(byte[] head, InputStream rest) throws IOException {
        refuseOtherKinds(head);
        int bom =
                head.length >= 3 && head[0] == (byte) 0xEF && head[1] == (byte) 0xBB && head[2] == (byte) 0xBF ? 3 : 0;
        separator = separator(new String(head, bom, head.length - bom, StandardCharsets.UTF_8));
        InputStream whole = new SequenceInputStream(new ByteArrayInputStream(head, bom, head.length - bom), rest);
        BufferedReader reader = new BufferedReader(
                new InputStreamReader(
                        whole,
                        StandardCharsets.UTF_8
                                .newDecoder()
                                .onMalformedInput(CodingErrorAction.REPORT)
                                .onUnmappableCharacter(CodingErrorAction.REPORT)),
                BUFFERED);
        parser = CSVFormat.RFC4180
                .builder()
                .setDelimiter(separator)
                .setIgnoreEmptyLines(true)
                .get()
                .parse(new FieldLimit(reader, separator));
        records = parser.iterator();
    }

    /**
     * Opens a file that is here as a whole.
     *
     * @throws InvalidInputException in one sentence when it is another kind of file
     */
    public static CsvCells of(byte[] file) throws IOException {
        int head = Math.min(file.length, BUFFERED);
        return new CsvCells(Arrays.copyOf(file, head), new ByteArrayInputStream(file, head, file.length - head));
    }

    @Override
    public @Nullable Row next() {
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
            return new Row(before, cells, "");
        } catch (UncheckedIOException | IllegalStateException broken) {
            Throwable cause = broken.getCause() == null ? broken : broken.getCause();
            if (cause instanceof CharacterCodingException) {
                throw new InvalidInputException(
                        "file", "the file is not encoded in UTF-8 (on or after line " + before + "); save it as UTF-8");
            }
            if (cause instanceof FieldLimit.TooLong) {
                throw new InvalidInputException("file", cause.getMessage());
            }
            unreadable = true;
            return new Row(
                    before,
                    List.of(),
                    "a quote that opens on or after line " + before
                            + " is never closed, or text follows a closing quote; the rest of the file cannot be read");
        }
    }

    @Override
    public boolean hasDecimalComma() {
        return separator != ',';
    }

    @Override
    public String misfit(int cells, int header) {
        String hint = separator == ',' && cells > header
                ? "; a number with a decimal comma, or a text with a comma, needs quotes"
                : "";
        return "the row has " + cells + (cells == 1 ? " column" : " columns") + ", the header has " + header + hint;
    }

    @Override
    public List<String> sheets() {
        return List.of();
    }

    @Override
    public OptionalInt size() {
        return OptionalInt.empty();
    }

    @Override
    public void close() throws IOException {
        parser.close();
    }

    /** The one that the first line has most of; a title above the table may have none. */
    private static char separator(String head) {
        return head.lines()
                .limit(Header.LOOKED_AT)
                .mapToInt(CsvCells::separatorOf)
                .filter(c -> c != 0)
                .mapToObj(c -> (char) c)
                .findFirst()
                .orElse(',');
    }

    private static int separatorOf(String line) {
        long commas = line.chars().filter(c -> c == ',').count();
        long semicolons = line.chars().filter(c -> c == ';').count();
        long tabs = line.chars().filter(c -> c == '\t').count();
        long strokes = line.chars().filter(c -> c == '|').count();
        if (strokes > 1 && strokes > Math.max(tabs, Math.max(commas, semicolons))) {
            return '|';
        }
        if (tabs > Math.max(commas, semicolons)) {
            return '\t';
        }
        if (semicolons > commas) {
            return ';';
        }
        return commas > 0 ? ',' : 0;
    }

    private static void refuseOtherKinds(byte[] head) {
        if (head.length >= 2 && (head[0] == (byte) 0xFF || head[0] == (byte) 0xFE) && (head[1] & 0xFE) == 0xFE) {
            throw new InvalidInputException("file", "the file is encoded in UTF-16; save it as UTF-8");
        }
        for (byte b : head) {
            if (b == 0) {
                throw new InvalidInputException("file", "the file is no text: it holds zero bytes");
            }
        }
    }
}
