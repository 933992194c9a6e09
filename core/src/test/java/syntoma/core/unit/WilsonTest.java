package syntoma.core.unit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import org.junit.jupiter.api.Test;

/** The interval of a share, against worked numbers. */
class WilsonTest {
    @Test
    void one_of_ten() {
        assertEquals(0.0179, Wilson.of(10, 1).low(), 5e-5);
        assertEquals(0.4042, Wilson.of(10, 1).high(), 5e-5);
    }

    @Test
    void none_and_all_end_at_the_edges() {
        assertEquals(0, Wilson.of(5, 0).low());
        assertEquals(1, Wilson.of(5, 5).high());
        // z²/(n + z²) = 3.8415 / 8.8415
        assertEquals(0.4345, Wilson.of(5, 0).high(), 5e-5);
    }

    @Test
    void what_cannot_be_is_named() {
        assertEquals(
                "tried is 0; allowed is 1 or more",
                assertThrows(IllegalArgumentException.class, () -> Wilson.of(0, 0))
                        .getMessage());
        assertEquals(
                "hits are 6; allowed is 0 to 5",
                assertThrows(IllegalArgumentException.class, () -> Wilson.of(5, 6))
                        .getMessage());
    }
}
