package syntoma.core.tabletext;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;

class TransposedTableTest {
    private static final List<List<String>> SIDE = List.of(
            List.of("Test", "1", "2"),
            List.of("Date", "2026-08-14", "2026-08-15"),
            List.of("Setup", "Mast panel", "Roof dome"),
            List.of("Download", "24.3"));

    @Test
    void a_table_on_its_side_is_known_by_its_first_column() {
        assertTrue(TransposedTable.isOne(SIDE));
        assertFalse(TransposedTable.isOne(TransposedTable.of(SIDE)), "and one that stands is none");
        assertFalse(TransposedTable.isOne(List.of(List.of("Date", "Down"), List.of("2026-08-14", "7"))));
        assertFalse(TransposedTable.isOne(List.of()));
    }

    @Test
    void it_is_turned_and_what_is_missing_is_empty() {
        assertEquals(
                List.of(
                        List.of("Test", "Date", "Setup", "Download"),
                        List.of("1", "2026-08-14", "Mast panel", "24.3"),
                        List.of("2", "2026-08-15", "Roof dome", "")),
                TransposedTable.of(SIDE));
    }
}
