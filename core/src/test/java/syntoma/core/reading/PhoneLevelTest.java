package syntoma.core.reading;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a phone shows, as it is typed. */
class PhoneLevelTest {
    @ParameterizedTest
    @ValueSource(strings = {"-97", "97", "−97 dBm", "-97dBm", " 97 ", "–97"})
    void a_level_with_or_without_its_minus(String text) {
        assertEquals(-97, PhoneLevel.read(text).dbm().getAsDouble());
    }

    @ParameterizedTest
    @ValueSource(strings = {"no service", "No Service", "none", "no signal", "–"})
    void no_service_is_a_level_too(String text) {
        assertTrue(PhoneLevel.read(text).dbm().isEmpty());
    }

    @Test
    void bars_are_noted_and_are_no_level() {
        PhoneLevel bars = PhoneLevel.read("3 bars");
        assertTrue(bars.dbm().isEmpty());
        assertEquals("3 bars", bars.bars().orElseThrow());
        assertEquals("2 of 5 bars", PhoneLevel.read("2 of 5 Bars").bars().orElseThrow());
    }

    @Test
    void what_cannot_be_is_refused() {
        assertTrue(assertThrows(IllegalArgumentException.class, () -> PhoneLevel.read("so so"))
                .getMessage()
                .contains("bars, which are only noted"));
        assertTrue(assertThrows(IllegalArgumentException.class, () -> PhoneLevel.read("-20"))
                .getMessage()
                .startsWith("level is"));
    }
}
