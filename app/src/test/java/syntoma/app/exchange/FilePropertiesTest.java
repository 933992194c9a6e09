package syntoma.app.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.AlphaChars;
import net.jqwik.api.constraints.Chars;
import net.jqwik.api.constraints.Size;
import net.jqwik.api.constraints.StringLength;
import syntoma.app.csv.Cells;
import syntoma.app.csv.SpreadsheetGuard;
import syntoma.core.reading.Figure;

/** What holds for every text and file. */
class FilePropertiesTest {
    @Property
    void a_guarded_text_comes_back_as_it_was_and_runs_in_no_spreadsheet(
            @ForAll @AlphaChars @Chars({'=', '+', '-', '@', '\'', ' ', ','}) @StringLength(max = 12) String text) {
        String guarded = SpreadsheetGuard.on(text);
        assertEquals(text, SpreadsheetGuard.off(guarded));
        assertFalse(guarded.matches("(?s)[=+\\-@].*"), guarded);
    }

    @Property(tries = 200)
    void any_cells_written_by_the_rules_are_read_cell_by_cell(
            @ForAll @Size(min = 4, max = 4)
                    List<@AlphaChars @Chars({',', '"', '\n', ';', ' '}) @StringLength(min = 1, max = 8) String> cells)
            throws IOException {
        List<String> quoted = new ArrayList<>();
        cells.forEach(c -> quoted.add('"' + c.replace("\"", "\"\"") + '"'));
        String file = "taken_at,campsite,setup,outcome\r\n" + String.join(",", quoted) + "\r\n";
        TableFile table = TableFile.open(
                new ByteArrayInputStream(file.getBytes(StandardCharsets.UTF_8)), "", headings -> Optional.empty());
        Cells.Row row = table.next();
        assertTrue(row.fault().isEmpty(), row.fault());
        assertEquals(cells.get(1).strip(), table.text(row, Figure.CAMPSITE).strip());
        assertEquals(cells.get(2).strip(), table.text(row, Figure.SETUP).strip());
        assertEquals(2, row.line());
    }
}
