package syntoma.core.unit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Days as one searches for them. */
class DayTextTest {
    private static final LocalDate DAY = LocalDate.of(2026, 8, 14);

    @ParameterizedTest
    @ValueSource(
            strings = {
                "2026-08-14",
                "14.8.2026",
                "14.8.",
                "14 Aug",
                "aug 14",
                "Aug 14, 2026",
                "14. August 2026",
                "August",
                "Aug 2026",
                "2026-08"
            })
    void say_the_day_or_its_month(String text) {
        assertTrue(DayText.of(text).orElseThrow().matches(DAY), text);
    }

    @ParameterizedTest
    @ValueSource(strings = {"2025-08-14", "15.8.2026", "Sep", "14 Aug 2027"})
    void say_another(String text) {
        assertFalse(DayText.of(text).orElseThrow().matches(DAY), text);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "B20", "pole", "2026-13", "32.8.", "au", "n78"})
    void are_none(String text) {
        assertEquals(Optional.empty(), DayText.of(text));
    }
}
