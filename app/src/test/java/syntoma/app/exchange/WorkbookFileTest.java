package syntoma.app.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import syntoma.app.csv.Cells;
import syntoma.app.platform.InvalidInputException;

/** Workbooks: what their cells say, and those that are refused. */
class WorkbookFileTest {
    private static final String HEADER = Xlsx.row(1, "Date", "Time", "Place", "Router", "Down", "Loss");

    private static List<List<String>> read(byte[] file, String sheet) throws IOException {
        List<List<String>> rows = new ArrayList<>();
        try (TableFile table = TableFile.peek(new ByteArrayInputStream(file), sheet)) {
            rows.add(table.header());
            for (Cells.Row row = table.next(); row != null; row = table.next()) {
                assertEquals("", row.fault());
                rows.add(row.cells());
            }
        }
        return rows;
    }

    private static String refused(byte[] file) {
        return assertThrows(InvalidInputException.class, () -> read(file, "")).getMessage();
    }

    @Test
    void dates_numbers_and_shares_are_read_as_the_sheet_shows_them() throws IOException {
        byte[] file = new Xlsx(false)
                .sheet(
                        "Log",
                        HEADER
                                + Xlsx.row(
                                        2,
                                        Xlsx.styled(Xlsx.DATE, "46248"),
                                        Xlsx.styled(Xlsx.CLOCK, "0.75347222222222221"),
                                        "Pine Bend",
                                        "Curlew",
                                        Xlsx.number("4.4000000000000004"),
                                        Xlsx.styled(Xlsx.PERCENT, "0.02"))
                                + Xlsx.row(3, Xlsx.styled(Xlsx.BOTH, "46248.75347222222")))
                .bytes();
        assertEquals(
                List.of(
                        List.of("Date", "Time", "Place", "Router", "Down", "Loss"),
                        List.of("2026-08-14", "18:05:00", "Pine Bend", "Curlew", "4.4", "2%"),
                        List.of("2026-08-14T18:05:00", "", "", "", "", "")),
                read(file, ""));
    }

    @Test
    void days_counted_from_1904_are_the_same_days() throws IOException {
        byte[] file = new Xlsx(true)
                .sheet("Log", HEADER + Xlsx.row(2, Xlsx.styled(Xlsx.DATE, "44786"), Xlsx.styled(Xlsx.CLOCK, "0.5")))
                .bytes();
        assertEquals(
                List.of("2026-08-14", "12:00:00", "", "", "", ""),
                read(file, "").get(1));
    }

    @Test
    void a_formula_counts_with_its_saved_result_and_without_one_it_is_shown() throws IOException {
        byte[] file = new Xlsx(false)
                .sheet(
                        "Log",
                        HEADER
                                + Xlsx.row(2, "x", "", "", "", Xlsx.formula("[1]Other!B2*8", "24"), "")
                                + Xlsx.row(3, "x", "", "", "", Xlsx.formula("B2*8", ""), ""))
                .part("xl/externalLinks/externalLink1.xml", "<externalLink/>")
                .bytes();
        assertEquals("24", read(file, "").get(1).get(4));
        assertEquals("=B2*8", read(file, "").get(2).get(4));
    }

    @Test
    void a_cell_merged_downwards_holds_for_each_of_its_rows() throws IOException {
        byte[] file = new Xlsx(false)
                .sheet(
                        "Log",
                        Xlsx.row(1, "Summer log")
                                + HEADER.replace("r=\"1\"", "r=\"2\"").replaceAll("([A-F])1\"", "$12\"")
                                + Xlsx.row(
                                        3, Xlsx.styled(Xlsx.DATE, "46248"), Xlsx.styled(Xlsx.CLOCK, "0.5"), "Pine Bend")
                                + Xlsx.row(4, "", Xlsx.styled(Xlsx.CLOCK, "0.75"))
                                + Xlsx.row(5, "", Xlsx.styled(Xlsx.CLOCK, "0.25")),
                        "<mergeCells><mergeCell ref=\"A1:F1\"/><mergeCell ref=\"A3:A4\"/>"
                                + "<mergeCell ref=\"C3:C4\"/></mergeCells>")
                .bytes();
        List<List<String>> rows = read(file, "");
        assertEquals("Date", rows.get(0).get(0));
        assertEquals(List.of("2026-08-14", "18:00:00", "Pine Bend"), rows.get(2).subList(0, 3));
        assertEquals(List.of("", "06:00:00", ""), rows.get(3).subList(0, 3));
    }

    @Test
    void the_first_sheet_with_anything_in_it_is_read_unless_another_is_named() throws IOException {
        byte[] file = new Xlsx(false)
                .sheet("Empty", "")
                .sheet("2026", HEADER)
                .sheet("2025", Xlsx.row(1, "Day", "Clock", "Site"))
                .bytes();
        try (TableFile table = TableFile.peek(new ByteArrayInputStream(file), "")) {
            assertEquals(List.of("2026", "2025"), table.cells().sheets());
        }
        assertEquals(List.of("Day", "Clock", "Site"), read(file, "2025").get(0));
        assertTrue(assertThrows(InvalidInputException.class, () -> read(file, "2024"))
                .getMessage()
                .contains("2026, 2025"));
    }

    @Test
    void what_is_no_workbook_is_refused_in_words() {
        assertTrue(refused(Xlsx.zip(Map.of("photo.txt", "x"))).contains("no workbook"));
        assertTrue(refused(new byte[] {'P', 'K', 3, 4}).contains("no workbook"));
        assertTrue(refused(Xlsx.zip(Map.of("mimetype", "application/vnd.oasis", "content.xml", "<x/>")))
                .contains("save the table as .xlsx or as CSV"));
        byte[] old = {(byte) 0xD0, (byte) 0xCF, 0x11, (byte) 0xE0, (byte) 0xA1, (byte) 0xB1, 0x1A, (byte) 0xE1};
        assertTrue(refused(old).contains(".xls"));
        byte[] cut = new Xlsx(false).sheet("Log", HEADER).bytes();
        assertTrue(refused(java.util.Arrays.copyOf(cut, cut.length / 2)).contains("no workbook"));
        assertTrue(refused(new Xlsx(false).sheet("Log", "").bytes()).contains("no sheet with anything in it"));
    }

    @Test
    void one_that_would_fill_the_memory_is_refused() {
        String spaces = " ".repeat(1 << 20);
        byte[] bomb = new Xlsx(false)
                .sheet("Log", HEADER)
                .part("xl/sharedStrings.xml", spaces.repeat(70))
                .bytes();
        assertTrue(refused(bomb).contains("unpacks to more"));
        assertTrue(refused(new Xlsx(false)
                        .sheet("Log", "<row r=\"1\"><c r=\"ZZZZZZ1\"><v>1</v></c></row>")
                        .bytes())
                .contains("a cell that no sheet has"));
        String laughs = "<!DOCTYPE x [<!ENTITY a \"ha\"><!ENTITY b \"&a;&a;&a;&a;\">]>";
        assertTrue(refused(new Xlsx(false)
                        .sheet("Log", HEADER)
                        .part(
                                "xl/worksheets/sheet1.xml",
                                laughs
                                        + "<worksheet><sheetData><row r=\"1\"><c r=\"A1\" t=\"inlineStr\"><is><t>&b;</t></is>"
                                        + "</c></row></sheetData></worksheet>")
                        .bytes())
                .contains("no workbook"));
        assertEquals(
                "1E999999999",
                read1(new Xlsx(false)
                        .sheet("Log", HEADER + Xlsx.row(2, Xlsx.number("1E999999999")))
                        .bytes()));
    }

    private static String read1(byte[] file) {
        try {
            return read(file, "").get(1).get(0);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    @Test
    void nothing_is_left_behind() throws IOException {
        long before = left();
        read(new Xlsx(false).sheet("Log", HEADER).bytes(), "");
        refused(Xlsx.zip(Map.of("photo.txt", "x")));
        assertEquals(before, left());
    }

    private static long left() throws IOException {
        try (Stream<Path> files = Files.list(Path.of(System.getProperty("java.io.tmpdir")))) {
            return files.filter(f -> f.getFileName().toString().endsWith(".xlsx"))
                    .count();
        }
    }
}
