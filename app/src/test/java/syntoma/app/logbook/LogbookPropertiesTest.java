package syntoma.app.logbook;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.AlphaChars;
import net.jqwik.api.constraints.Chars;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import net.jqwik.api.constraints.StringLength;
import syntoma.core.reading.Figure;

/** What holds for every text, time and file. */
class LogbookPropertiesTest {
    @Property
    void a_guarded_text_comes_back_as_it_was_and_runs_in_no_spreadsheet(
            @ForAll @AlphaChars @Chars({'=', '+', '-', '@', '\'', ' ', ','}) @StringLength(max = 12) String text) {
        String guarded = SpreadsheetGuard.on(text);
        assertEquals(text, SpreadsheetGuard.off(guarded));
        assertFalse(guarded.matches("(?s)[=+\\-@].*"), guarded);
    }

    @Property(tries = 50)
    void a_set_of_fingerprints_is_a_set(@ForAll long seed, @ForAll @IntRange(min = 1, max = 20_000) int many) {
        Random random = new Random(seed);
        FingerprintSet own = new FingerprintSet();
        Set<List<Long>> reference = new HashSet<>();
        for (int i = 0; i < many; i++) {
            long high = 1 + random.nextInt(60);
            long low = random.nextInt(200);
            assertEquals(reference.add(List.of(high, low)), own.add(high, low));
        }
    }

    @Property
    void every_time_that_is_written_is_read(
            @ForAll @IntRange(min = 0, max = 1_500_000_000) int seconds,
            @ForAll @IntRange(min = -18 * 60, max = 18 * 60) int minutes) {
        OffsetDateTime time = OffsetDateTime.of(2001, 1, 1, 0, 0, 0, 0, ZoneOffset.ofTotalSeconds(60 * minutes))
                .plusSeconds(seconds);
        assertEquals(time, Times.parse(time.toString()));
    }

    @Property(tries = 200)
    void any_cells_written_by_the_rules_are_read_cell_by_cell(
            @ForAll @Size(min = 4, max = 4)
                    List<@AlphaChars @Chars({',', '"', '\n', ';', ' '}) @StringLength(min = 1, max = 8) String> cells)
            throws IOException {
        List<String> quoted = new ArrayList<>();
        cells.forEach(c -> quoted.add('"' + c.replace("\"", "\"\"") + '"'));
        String file = "taken_at,campsite,setup,outcome\r\n" + String.join(",", quoted) + "\r\n";
        CsvTable table = CsvTable.open(new ByteArrayInputStream(file.getBytes(StandardCharsets.UTF_8)));
        CsvTable.Row row = table.next();
        assertTrue(row.fault().isEmpty(), row.fault());
        assertEquals(cells.get(1).strip(), table.text(row, Figure.CAMPSITE).strip());
        assertEquals(cells.get(2).strip(), table.text(row, Figure.SETUP).strip());
        assertEquals(2, row.line());
    }
}
