package syntoma.app.access;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import syntoma.app.store.StoreFiles;

/** Guesses are counted by device, by network and together, and a start again is no way around. */
class ThrottleTest {
    @TempDir
    private Path dir;

    private final WallClock clock = mock(WallClock.class);
    private Throttle throttle;

    @BeforeEach
    void open() {
        when(clock.now()).thenReturn(Instant.parse("2026-11-26T18:00:00Z"));
        throttle = new Throttle(new SecretFiles(new StoreFiles(dir)), clock);
    }

    @Test
    void many_addresses_of_one_network_are_slowed_together_and_pairing_still_works() {
        for (int i = 1; i <= 20; i++) {
            assertEquals(Duration.ZERO, throttle.waitForPhrase("fd00:0:0:7::" + i));
        }
        assertEquals(Duration.ofMinutes(1), throttle.waitForPhrase("fd00:0:0:7::ffff"));
        assertEquals(Duration.ZERO, throttle.waitForPhrase("fd00:0:0:8::1"));
        assertEquals(Duration.ZERO, throttle.waitForCode("fd00:0:0:7::abcd"));
        throttle.right("fd00:0:0:7::1");
        assertEquals(Duration.ZERO, throttle.waitForPhrase("fd00:0:0:7::ffff"));
    }

    @Test
    void guesses_from_everywhere_are_slowed_and_this_machine_is_not() {
        for (int i = 0; i < 100; i++) {
            assertEquals(Duration.ZERO, throttle.waitForPhrase("10." + i + ".0.1"));
        }
        throttle.right("10.5.0.1");
        assertEquals(Duration.ofMinutes(1), throttle.waitForPhrase("10.200.0.1"));
        assertEquals(Duration.ZERO, throttle.waitForPhrase("127.0.0.1"));
    }

    @Test
    void a_start_anew_goes_on_counting() {
        for (int i = 0; i < 10; i++) {
            assertEquals(Duration.ZERO, throttle.waitForPhrase("192.168.8.66"));
        }
        Throttle after = new Throttle(new SecretFiles(new StoreFiles(dir)), clock);
        assertEquals(Duration.ofMinutes(1), after.waitForPhrase("192.168.8.66"));
        assertEquals(Duration.ZERO, after.waitForPhrase("192.168.9.21"));
    }
}
