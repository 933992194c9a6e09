package syntoma.app.exchange;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.SequenceInputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.ReadingOptions;
import org.dhatim.fastexcel.reader.Sheet;
import org.dhatim.fastexcel.reader.SheetVisibility;
import org.springframework.lang.Nullable;
import syntoma.app.csv.Cells;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.unit.Text;

/**
 * One sheet of a workbook (.xlsx), as texts the way the sheet shows them. Formulas count with the result that was saved with
 * them, links to other files are not followed, a cell merged downwards holds for each of its rows.
 */
final class WorkbookFile implements Cells {
    /** Columns that a table of measurements may have; what stands further out is not read. */
    static final int MOST_COLUMNS = 256;

    private static final int LONGEST_SHEET_NAME = 200;

    private final Path file;
    private final ReadableWorkbook workbook;
    private final List<String> sheets;
    private final SheetShape shape;
    private final Stream<org.dhatim.fastexcel.reader.Row> stream;
    private final Iterator<org.dhatim.fastexcel.reader.Row> rows;
    private final CellText texts;
    private final Map<Integer, MergedCell> held = new TreeMap<>();

    /** What a merged cell holds, down to its last row. */
    private record MergedCell(String text, int lastRow) {}

    private WorkbookFile(Path file, ReadableWorkbook workbook, List<String> sheets, SheetShape shape, Sheet sheet)
            throws IOException {
        this.file = file;
        this.workbook = workbook;
        this.sheets = sheets;
        this.shape = shape;
        this.stream = sheet.openStream();
        this.rows = stream.iterator();
        this.texts = new CellText(workbook.isDate1904());
    }

    /** Whether a file that begins so is a workbook, or another kind that only a spreadsheet program reads. */
    static boolean isOne(byte[] head) {
        return head.length >= 4 && (head[0] == 'P' && head[1] == 'K' || isOfOldKind(head));
    }

    private static boolean isOfOldKind(byte[] head) {
        return head[0] == (byte) 0xD0 && head[1] == (byte) 0xCF && head[2] == 0x11 && head[3] == (byte) 0xE0;
    }

    /**
     * Opens a workbook.
     *
     * @param head its beginning
     * @param rest what follows
     * @param wanted the name of a sheet; empty for the first one that holds anything
     * @throws InvalidInputException in one sentence when it cannot be read
     */
    static WorkbookFile open(byte[] head, InputStream rest, String wanted) throws IOException {
        if (isOfOldKind(head)) {
            throw new InvalidInputException(
                    "file",
                    "the file is a workbook of the old kind (.xls), or locked with a password; save it as .xlsx");
        }
        Path file = Files.createTempFile("syntoma", ".xlsx");
        try {
            try (InputStream whole = new SequenceInputStream(new ByteArrayInputStream(head), rest)) {
                Files.copy(whole, file, StandardCopyOption.REPLACE_EXISTING);
            }
            WorkbookShape shape = WorkbookShape.of(file);
            return open(file, shape, wanted);
        } catch (IOException | RuntimeException refused) {
            Files.deleteIfExists(file);
            throw refused instanceof InvalidInputException known ? known : unreadable();
        }
    }

    private static WorkbookFile open(Path file, WorkbookShape shape, String wanted) throws IOException {
        ReadableWorkbook workbook = new ReadableWorkbook(file.toFile(), new ReadingOptions(true, true));
        try {
            List<Sheet> offered = workbook.getSheets()
                    .filter(sheet -> sheet.getVisibility() == SheetVisibility.VISIBLE)
                    .filter(sheet -> shape.knows(sheet.getId())
                            && shape.sheet(sheet.getId()).rows() > 0)
                    .toList();
            if (offered.isEmpty()) {
                throw new InvalidInputException(
                        "file", "the workbook has no sheet with anything in it; it needs a header and rows");
            }
            List<String> names = offered.stream().map(WorkbookFile::name).toList();
            Sheet sheet = wanted.isEmpty()
                    ? offered.get(0)
                    : offered.stream()
                            .filter(s -> name(s).equals(wanted))
                            .findFirst()
                            .orElseThrow(() -> new InvalidInputException(
                                    "sheet",
                                    "sheet is " + Text.quote(wanted) + "; the workbook has "
                                            + String.join(", ", names)));
            List<String> first = new ArrayList<>(List.of(name(sheet)));
            names.stream().filter(name -> !name.equals(first.get(0))).forEach(first::add);
            return new WorkbookFile(file, workbook, first, shape.sheet(sheet.getId()), sheet);
        } catch (IOException | RuntimeException refused) {
            workbook.close();
            throw refused;
        }
    }

    private static String name(Sheet sheet) {
        String name = sheet.getName() == null ? "" : sheet.getName();
        return name.substring(0, Math.min(name.length(), LONGEST_SHEET_NAME));
    }

    static InvalidInputException unreadable() {
        return new InvalidInputException(
                "file",
                "the file is a zip archive, but no workbook (.xlsx) that can be read; save the table as .xlsx or as CSV");
    }

    @Override
    public @Nullable Row next() {
        try {
            return rows.hasNext() ? row(rows.next()) : null;
        } catch (RuntimeException broken) {
            throw unreadable();
        }
    }

    private Row row(org.dhatim.fastexcel.reader.Row row) {
        int width = Math.min(row.getCellCount(), MOST_COLUMNS);
        List<String> cells = new ArrayList<>(width);
        for (int i = 0; i < width; i++) {
            cells.add(texts.of(row.getCell(i)));
        }
        fillMerged(row.getRowNum(), cells);
        return new Row(row.getRowNum(), cells, "");
    }

    private void fillMerged(int row, List<String> cells) {
        held.values().removeIf(merged -> merged.lastRow < row);
        held.forEach((column, merged) -> {
            while (cells.size() <= column) {
                cells.add("");
            }
            cells.set(column, merged.text);
        });
        for (SheetShape.Merge merge : shape.merges().getOrDefault(row, List.of())) {
            String text = merge.column() < cells.size() ? cells.get(merge.column()) : "";
            held.put(merge.column(), new MergedCell(text, merge.lastRow()));
        }
    }

    @Override
    public boolean hasDecimalComma() {
        return false;
    }

    /** A row ends with its last filled cell, so that its length says nothing. */
    @Override
    public String misfit(int cells, int header) {
        return "";
    }

    @Override
    public List<String> sheets() {
        return sheets;
    }

    @Override
    public OptionalInt size() {
        return OptionalInt.of(shape.rows());
    }

    @Override
    public void close() throws IOException {
        stream.close();
        workbook.close();
        Files.deleteIfExists(file);
    }
}
