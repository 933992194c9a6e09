package syntoma.core.tabletext;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Where the headings stand. */
class HeaderTest {
    private static Header header(String... rows) {
        return Header.of(
                Arrays.stream(rows).map(row -> List.of(row.split("\\|", -1))).toList());
    }

    @Test
    void mostly_in_the_first_row() {
        assertEquals(
                new Header(1, List.of("Date", "Place", "Down")), header("Date|Place|Down", "14.8.2026|Amber Spit|12"));
    }

    @Test
    void below_a_title() {
        assertEquals(
                new Header(3, List.of("Date", "Place", "Down")),
                header("Campsite log 2026||", "||", "Date|Place|Down", "14.8.2026|Amber Spit|12"));
    }

    @Test
    void with_a_row_of_units_beneath() {
        assertEquals(
                new Header(2, List.of("Date", "Down (MB/s)", "Signal [dBm]")),
                header("Date|Down|Signal", "|MB/s|[dBm]", "14.8.2026|12|-97"));
    }

    @Test
    void with_a_row_of_units_that_says_how_days_and_times_are_written() {
        assertEquals(
                new Header(2, List.of("Date (yyyy-mm-dd)", "Time (hh:mm)", "Place", "Down (Mbit/s)")),
                header("Date|Time|Place|Down", "yyyy-mm-dd|hh:mm||Mbit/s", "2026-08-14|18:05|Amber Spit|12"));
        assertEquals(
                new Header(1, List.of("Date", "Place", "Note")),
                header("Date|Place|Note", "14.8.2026|Amber Spit|shady"),
                "a row of words is none");
    }

    @Test
    void over_two_rows_the_finer_ones_count() {
        assertEquals(
                new Header(2, List.of("Date", "Place", "Down", "Up")),
                header(
                        "Date|Place|Speed|",
                        "||Down|Up".replaceFirst("\\|\\|", "Date|Place|"),
                        "14.8.2026|Amber Spit|12|3"));
    }

    @Test
    void figures_are_no_headings() {
        assertEquals(new Header(1, List.of("Down", "Up")), header("Down|Up", "1|2", "3|4"));
        assertEquals(new Header(1, List.of("Log", "", "")), header("Log||", "1|2|3", "4|5|6"));
    }

    @Test
    void over_two_rows_the_upper_says_of_what_the_finer_ones_are() {
        assertEquals(
                new Header(2, List.of("Date", "Place", "Dome Down", "Dome Up", "Mast Down", "Mast Up")),
                header("Date|Place|Dome||Mast|", "||Down|Up|Down|Up", "14.8.2026|Amber Spit|12|3|14|4"));
        assertEquals(
                new Header(3, List.of("Date", "Place", "Run 1 DL", "Run 2 DL")),
                header("My log|||", "Date|Place|Run 1|Run 2", "||DL|DL", "14.8.2026|Amber Spit|12|3"));
    }

    @Test
    void names_of_two_antennas_above_are_no_title() {
        assertEquals(
                new Header(3, List.of("Camp", "Date", "Roof dome DL", "Roof dome UL", "Mast DL", "Mast UL", "Notes")),
                header(
                        "My trip||||||",
                        "||Roof dome||Mast||",
                        "Camp|Date|DL|UL|DL|UL|Notes",
                        "Cove|14.08.2026|21|4|34|9|rain"));
    }

    @Test
    void numbered_headings_are_words() {
        assertEquals(
                new Header(2, List.of("Place", "DL1", "UL1", "DL2", "UL2")),
                header("My log||||", "Place|DL1|UL1|DL2|UL2", "Amber Spit|12|3|14|4"));
    }
}
