package syntoma.app.exchange;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/** Writes workbooks part by part, sound ones and others. */
final class Xlsx {
    /** Styles of cells, as numbers of {@code s}. */
    static final int DATE = 1;

    static final int CLOCK = 2;
    static final int BOTH = 3;
    static final int PERCENT = 4;

    private static final String MAIN = "http://schemas.openxmlformats.org/spreadsheetml/2006/main";
    private static final String RELATIONS = "http://schemas.openxmlformats.org/officeDocument/2006/relationships";

    private final Map<String, String> parts = new LinkedHashMap<>();
    private final StringBuilder sheets = new StringBuilder();
    private final StringBuilder relations = new StringBuilder();
    private final boolean since1904;
    private int count;

    Xlsx(boolean since1904) {
        this.since1904 = since1904;
    }

    /** A sheet of rows, and what follows them. */
    Xlsx sheet(String name, String rows, String after) {
        count++;
        sheets.append("<sheet name=\"%s\" sheetId=\"%d\" r:id=\"rId%d\"/>".formatted(name, count, count));
        relations.append("<Relationship Id=\"rId%d\" Type=\"%s/worksheet\" Target=\"worksheets/sheet%d.xml\"/>"
                .formatted(count, RELATIONS, count));
        return part(
                "xl/worksheets/sheet%d.xml".formatted(count),
                "<worksheet xmlns=\"%s\"><sheetData>%s</sheetData>%s</worksheet>".formatted(MAIN, rows, after));
    }

    Xlsx sheet(String name, String rows) {
        return sheet(name, rows, "");
    }

    Xlsx part(String name, String content) {
        parts.put(name, content);
        return this;
    }

    /** A row; each cell as text, or as XML where it begins with an angle bracket. */
    static String row(int number, Object... cells) {
        StringBuilder row = new StringBuilder("<row r=\"%d\">".formatted(number));
        for (int i = 0; i < cells.length; i++) {
            String ref = (char) ('A' + i) + "" + number;
            String cell = cells[i].toString();
            if (cell.startsWith("<")) {
                row.append(cell.replace("<c", "<c r=\"" + ref + "\""));
            } else if (!cell.isEmpty()) {
                row.append("<c r=\"%s\" t=\"inlineStr\"><is><t>%s</t></is></c>".formatted(ref, cell));
            }
        }
        return row.append("</row>").toString();
    }

    static String number(String value) {
        return "<c><v>" + value + "</v></c>";
    }

    static String styled(int style, String value) {
        return "<c s=\"" + style + "\"><v>" + value + "</v></c>";
    }

    static String formula(String formula, String result) {
        return "<c><f>" + formula + "</f>" + (result.isEmpty() ? "" : "<v>" + result + "</v>") + "</c>";
    }

    byte[] bytes() {
        Map<String, String> all = new LinkedHashMap<>();
        all.put(
                "[Content_Types].xml",
                "<Types xmlns=\"http://schemas.openxmlformats.org/package/2006/content-types\">"
                        + "<Override PartName=\"/xl/workbook.xml\" ContentType=\"application/"
                        + "vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml\"/>"
                        + "<Override PartName=\"/xl/styles.xml\" ContentType=\"application/"
                        + "vnd.openxmlformats-officedocument.spreadsheetml.styles+xml\"/></Types>");
        all.put(
                "xl/workbook.xml",
                "<workbook xmlns=\"%s\" xmlns:r=\"%s\"><workbookPr%s/><sheets>%s</sheets></workbook>"
                        .formatted(MAIN, RELATIONS, since1904 ? " date1904=\"1\"" : "", sheets));
        all.put("xl/_rels/workbook.xml.rels", "<Relationships>" + relations + "</Relationships>");
        all.put(
                "xl/styles.xml",
                "<styleSheet xmlns=\"%s\"><numFmts count=\"2\"><numFmt numFmtId=\"164\" formatCode=\"dd\\.mm\\.yyyy\"/>"
                                .formatted(MAIN)
                        + "<numFmt numFmtId=\"165\" formatCode=\"[$-409]d mmm yyyy hh:mm;@\"/></numFmts><cellXfs>"
                        + "<xf numFmtId=\"0\"/><xf numFmtId=\"164\"/><xf numFmtId=\"20\"/><xf numFmtId=\"165\"/>"
                        + "<xf numFmtId=\"9\"/></cellXfs></styleSheet>");
        all.putAll(parts);
        return zip(all);
    }

    static byte[] zip(Map<String, String> parts) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, String> part : parts.entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                zip.write(part.getValue().getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
