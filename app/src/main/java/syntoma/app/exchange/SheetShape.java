package syntoma.app.exchange;

import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import syntoma.app.platform.InvalidInputException;

/**
 * How many rows a sheet has, and which of its cells are merged downwards.
 *
 * @param rows those that hold a cell
 * @param merges by the row they begin in, counted from 1
 */
record SheetShape(int rows, Map<Integer, List<Merge>> merges) {
    /** Columns and rows that a sheet has at most. */
    private static final int MOST_COLUMNS = 16_384;

    private static final int MOST_ROWS = 1_048_576;
    private static final int MOST_MERGES = 200_000;
    private static final Pattern CELL = Pattern.compile("([A-Z]{1,3})([0-9]{1,7})");

    /** Cells of one column that are one. */
    record Merge(int column, int lastRow) {}

    /** A place in a sheet, the column counted from 0 and the row from 1. */
    private record Place(int column, int row) {
        static Place of(String ref) {
            Matcher cell = CELL.matcher(ref);
            if (!cell.matches()) {
                throw new InvalidInputException("file", "the workbook names a cell that no sheet has");
            }
            int column = 0;
            for (char letter : cell.group(1).toCharArray()) {
                column = 26 * column + letter - 'A' + 1;
            }
            int row = Integer.parseInt(cell.group(2));
            if (column > MOST_COLUMNS || row < 1 || row > MOST_ROWS) {
                throw new InvalidInputException("file", "the workbook names a cell that no sheet has");
            }
            return new Place(column - 1, row);
        }
    }

    /**
     * Reads it from a sheet.
     *
     * @throws InvalidInputException where it names cells that no sheet has
     */
    static SheetShape of(InputStream sheet) throws XMLStreamException {
        int rows = 0;
        boolean counted = false;
        int merged = 0;
        Map<Integer, List<Merge>> merges = new TreeMap<>();
        XMLStreamReader xml = WorkbookShape.xml(sheet);
        while (xml.hasNext()) {
            if (xml.next() != XMLStreamConstants.START_ELEMENT) {
                continue;
            }
            switch (xml.getLocalName()) {
                case "row" -> counted = false;
                case "c" -> {
                    String ref = xml.getAttributeValue(null, "r");
                    if (ref != null) {
                        Place.of(ref);
                    }
                    rows += counted ? 0 : 1;
                    counted = true;
                }
                case "mergeCell" -> {
                    if (++merged > MOST_MERGES) {
                        throw new InvalidInputException(
                                "file", "the sheet has more than " + MOST_MERGES + " merged cells; save it as CSV");
                    }
                    String[] ends =
                            String.valueOf(xml.getAttributeValue(null, "ref")).split(":", 2);
                    Place first = Place.of(ends[0]);
                    Place last = Place.of(ends[ends.length - 1]);
                    if (last.row > first.row && first.column < WorkbookFile.MOST_COLUMNS) {
                        merges.computeIfAbsent(first.row, r -> new ArrayList<>())
                                .add(new Merge(first.column, last.row));
                    }
                }
                default -> {
                    // nothing that the shape depends on
                }
            }
        }
        return new SheetShape(rows, merges);
    }
}
