package syntoma.core.tabletext;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Several figures in one cell. */
class JoinedCellsTest {
    private static final JoinedCells SPEEDS = JoinedCells.of(List.of("Place", "Down/Up/Ping (Mbps)", "Notes"));

    @ParameterizedTest
    @CsvSource({
        "Down/Up, Down;Up",
        "DL / UL (Mbps), DL (Mbps);UL (Mbps)",
        "Download/Upload/Ping, Download;Upload;Ping",
        "RSRP/SINR [dB], RSRP [dB];SINR [dB]"
    })
    void a_heading_of_several_figures_is_taken_apart(String heading, String parts) {
        assertEquals(List.of(parts.split(";")), JoinedCells.of(List.of(heading)).headings());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Down (MB/s)",
                "Mbit/s",
                "Date/Time",
                "Carrier/SIM",
                "Down",
                "",
                "/",
                "Down/Download",
                "n/a",
                "Up/"
            })
    void every_other_stays_as_it_is(String heading) {
        assertEquals(List.of(heading), JoinedCells.of(List.of(heading)).headings());
    }

    @ParameterizedTest
    @CsvSource({
        "30/6/45, 30;6;45",
        "30 / 6 / 45 ms, 30;6;45 ms",
        "30/6, 30;6;",
        "failed, failed;;",
        "n/a, n/a;;",
        "'', ;;",
        "3/4/5/6, 3/4/5/6;;"
    })
    void its_cells_are_taken_apart_too(String cell, String parts) {
        List<String> cells = SPEEDS.cells(List.of("Cove 1/2", cell, "wind n/a"));
        assertEquals(List.of((parts + ";#").split(";", -1)).subList(0, 3), cells.subList(1, 4));
        assertEquals("Cove 1/2", cells.get(0));
        assertEquals("wind n/a", cells.get(4));
    }

    @Test
    void runs_side_by_side_in_one_cell_each_are_runs() {
        JoinedCells joined = JoinedCells.of(List.of("Test 1 DL/UL", "Test 2 DL/UL", "Dome RSRP/SINR"));
        assertEquals(List.of("Test 1 DL", "1 UL", "Test 2 DL", "2 UL", "Dome RSRP", "Dome SINR"), joined.headings());
        assertEquals(
                List.of("1", "1", "2", "2", "", ""),
                SideBySideMeasurements.of(
                        joined.headings().stream().map(Heading::of).toList()));
    }

    @Test
    void figures_that_stand_in_brackets_have_the_unit_behind_the_last() {
        JoinedCells joined = JoinedCells.of(
                List.of("Speed (down/up Mbps)", "Signal (RSRP/RSRQ/SINR)", "Rate (Mb/s)", "Who (me/you)"));
        assertEquals(
                List.of("down (Mbps)", "up (Mbps)", "RSRP", "RSRQ", "SINR", "Rate (Mb/s)", "Who (me/you)"),
                joined.headings());
        assertEquals(
                List.of("24.3", "8.1", "-99", "-12", "6.5", "1", "a/b"),
                joined.cells(List.of("24.3 / 8.1", "-99/-12/6.5", "1", "a/b")));
    }
}
