package syntoma.app.measurement;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.time.DateTimeException;
import java.time.OffsetDateTime;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TimesTest {
    @ParameterizedTest
    @ValueSource(
            strings = {
                "2026-08-14T18:05:07+03:00",
                "2026-08-14T18:05:07-03:30",
                "2024-02-29T00:00:00+00:00",
                "2026-08-14T18:05Z",
                "2026-08-14T18:05:07.25+03:00"
            })
    void the_short_way_reads_what_the_general_parser_reads(String text) {
        assertEquals(OffsetDateTime.parse(text), Times.parse(text));
        assertEquals(OffsetDateTime.parse(text), Times.parse(text.replace('T', ' ')));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"2026-02-30T18:05:07+03:00", "2026-08-14T24:05:07+03:00", "2026-08-14T18:05:07+19:00", "soon"})
    void what_is_no_time_is_refused(String text) {
        assertThrows(DateTimeException.class, () -> Times.parse(text));
    }
}
