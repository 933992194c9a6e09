package syntoma.standin.speed;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TicketTest {
    private static final Instant UNTIL = Instant.ofEpochSecond(1_790_000_000);
    private static final String RUN = "0b7d9f1e-run";

    @Test
    void is_the_moment_and_its_seal() {
        // by openssl: printf '0b7d9f1e-run 1790000000' | openssl dgst -sha256 -hmac open-sesame -binary | base64, made
        // url-safe
        assertEquals("1790000000.v1Zw6kyImTIwnAl6fZY4J1NNjOL74nYBZrY7OFAiBAc", Ticket.of("open-sesame", RUN, UNTIL));
    }

    @Test
    void is_good_for_its_run_until_its_moment() {
        String ticket = Ticket.of("open-sesame", RUN, UNTIL);
        assertTrue(Ticket.isGood(ticket, "open-sesame", RUN, UNTIL));
        assertFalse(Ticket.isGood(ticket, "open-sesame", RUN, UNTIL.plusSeconds(1)), "too late");
        assertFalse(Ticket.isGood(ticket, "open-sesame", "another-run", UNTIL));
        assertFalse(Ticket.isGood(ticket, "another-key", RUN, UNTIL));
        assertFalse(
                Ticket.isGood(ticket.replace("1790000000", "1890000000"), "open-sesame", RUN, UNTIL), "a later one");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", ".", "1790000000", "1790000000.", "-1.x", "99999999999999999999.x", "1e9.x", "..."})
    void what_is_none_lets_nobody_in(String text) {
        assertFalse(Ticket.isGood(text, "open-sesame", RUN, UNTIL));
    }
}
