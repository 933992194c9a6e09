package syntoma.core.access;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a pass phrase must be, and how soon another may be tried. */
class AccessTest {
    private static final Instant NOW = Instant.parse("2026-09-05T19:00:00Z");

    @ParameterizedTest
    @ValueSource(
            strings = {
                "heron heron9",
                "rusty gate by the quarry",
                "jäätelö kesällä",
                "9x!Lr#qq20",
                "два зелёных чайника",
                "塩の草原に青い鷺が立つ夜",
                "my boots are in the shower",
                "314159265358979"
            })
    void what_nobody_tries_is_taken(String phrase) {
        assertTrue(PassPhrase.problem(phrase).isEmpty(), () -> PassPhrase.problem(phrase)
                .orElse(""));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "password123",
                "P@ssw0rd!!",
                "Welcome2026",
                "letmein!!!!",
                "iloveyou42",
                "correct horse battery staple",
                "adminadmin1",
                "campervan2026",
                "Syntoma123",
                "1234567890",
                "0987654321",
                "qwertyuiop",
                "1q2w3e4r5t",
                "asdfghjkl1",
                "aaaaaaaaaaaa",
                "abcabcabcabc",
                "abababababab",
                "05.09.2026",
                "+46 70 123 45"
            })
    void what_is_tried_first_is_refused(String phrase) {
        assertTrue(PassPhrase.problem(phrase).isPresent(), phrase);
    }

    @Test
    void length_is_counted_as_a_person_counts_and_without_blanks_around() {
        assertTrue(PassPhrase.problem("  ninechars  ").orElseThrow().contains("9 characters"));
        assertTrue(PassPhrase.problem("").orElseThrow().contains("0 characters"));
        assertTrue(PassPhrase.problem("🦆🦢🪿🦉🐧🦅🐦🐤🦜").orElseThrow().contains("9 characters"));
        assertTrue(PassPhrase.problem("ab ".repeat(100)).isPresent());
    }

    @Test
    void the_same_letters_are_the_same_phrase_on_every_device() {
        assertEquals(
                PassPhrase.read("ja\u0308a\u0308telo\u0308 kesa\u0308lla\u0308 "), PassPhrase.read("jäätelö kesällä"));
    }

    @Property
    void no_word_of_a_phrase_stands_in_its_refusal(@ForAll int seed) {
        String phrase = "password" + Math.abs((long) seed);
        assertFalse(PassPhrase.problem(phrase).orElseThrow().contains(phrase));
    }

    @Test
    void the_free_guesses_are_heard_at_once_and_then_the_wait_doubles_up_to_an_hour() {
        Guesses guesses = Guesses.NONE;
        for (int i = 0; i < 10; i++) {
            assertEquals(Duration.ZERO, guesses.waitAt(NOW, 10));
            guesses = guesses.andOne(NOW);
        }
        Instant now = NOW;
        for (long minutes : new long[] {1, 2, 4, 8, 16, 32, 60, 60}) {
            Duration wait = Duration.ofMinutes(minutes);
            assertEquals(wait, guesses.waitAt(now, 10));
            assertEquals(Duration.ofSeconds(1), guesses.waitAt(now.plus(wait).minusSeconds(1), 10));
            now = now.plus(wait);
            assertEquals(Duration.ZERO, guesses.waitAt(now, 10));
            guesses = guesses.andOne(now);
        }
    }

    @Test
    void in_a_day_nobody_guesses_more_than_the_free_ones_and_29() {
        Guesses guesses = Guesses.NONE;
        int heard = 0;
        for (int second = 0; second < 86_400; second++) {
            Instant now = NOW.plusSeconds(second);
            if (guesses.waitAt(now, 10).isZero()) {
                guesses = guesses.andOne(now);
                heard++;
            }
        }
        // 1 + 2 + 4 + 8 + 16 + 32 minutes, then hours: 6 + 22 whole ones of the rest of the day
        assertTrue(heard <= 10 + 29, heard + " guesses");
    }

    @Test
    void who_keeps_quiet_for_a_day_begins_anew_and_a_clock_set_back_locks_nobody_out() {
        Guesses many = new Guesses(500, NOW);
        assertEquals(Duration.ofMinutes(45), many.waitAt(NOW.plusSeconds(900), 10));
        assertEquals(Duration.ZERO, many.waitAt(NOW.plusSeconds(86_400), 10));
        assertEquals(1, many.andOne(NOW.plusSeconds(86_400)).tried());
        assertEquals(Duration.ofHours(1), many.waitAt(NOW.minus(Duration.ofDays(365)), 10));
    }
}
