package syntoma.core.run;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import syntoma.core.reading.Figure;

class LegTest {
    /** 5 MB in 2 s are 20 Mb/s; 1 MB in 0.5 s are 16 Mb/s. */
    private static final Leg LEG = Leg.of(new Leg.TimedBytes(5_000_000, 2_000), new Leg.TimedBytes(1_000_000, 500));

    private static Optional<String> said(double downMbps, double upMbps) {
        return LEG.limits(new RunResult(Map.of(Figure.DOWN_MBPS, downMbps, Figure.UP_MBPS, upMbps), Map.of()));
    }

    @Test
    void is_calculated_in_megabits() {
        assertEquals(20, LEG.downMbps(), 1e-9);
        assertEquals(16, LEG.upMbps(), 1e-9);
    }

    @Test
    void with_room_says_nothing() {
        assertTrue(said(15.9, 12.7).isEmpty());
    }

    @Test
    void says_which_way_was_as_full_as_it_gets() {
        assertTrue(
                said(16.1, 3).orElse("").contains("about 20 Mb/s down itself"),
                said(16.1, 3).orElse(""));
        assertTrue(said(3, 13).orElse("").contains("about 16 Mb/s up itself"));
        assertTrue(said(19, 15).orElse("").contains("about 20 Mb/s down and 16 Mb/s up itself"));
    }

    @Test
    void what_passed_in_no_time_is_none() {
        assertThrows(IllegalArgumentException.class, () -> new Leg.TimedBytes(1_000, 0));
        assertThrows(IllegalArgumentException.class, () -> new Leg.TimedBytes(0, 10));
    }
}
