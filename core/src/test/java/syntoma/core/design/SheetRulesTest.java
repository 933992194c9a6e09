package syntoma.core.design;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import syntoma.core.state.Move;
import syntoma.core.state.Rig;
import syntoma.core.state.RigState;
import syntoma.core.state.Work;

/** What a run sheet asks, learns and leaves out. */
class SheetRulesTest {
    private static Contender held(String bands) {
        return new Contender("Dome", Rig.of("Curlew").bands(bands).arrangement());
    }

    private static Doubts.DeviceReading read(String carrier, String mode, String band, String cell) {
        return new Doubts.DeviceReading(carrier, mode, band, cell);
    }

    @Test
    void what_is_read_and_does_not_agree_is_said() {
        assertEquals(List.of(), Doubts.of(held("automatic"), read("tarnwave", "NR-NSA", "B20", "7"), List.of("7")));
        assertEquals(List.of(), Doubts.of(held("B3 + B20"), read("", "LTE", "B20", ""), List.of()));
        assertEquals(
                List.of(), Doubts.of(held("B3"), read("", "", "", ""), List.of("7")), "what is not said is no doubt");
        assertEquals(
                List.of("The device is on Ostrel; Dome should be measured on Tarnwave."),
                Doubts.of(held("automatic"), read("Ostrel", "LTE", "B3", ""), List.of()));
        assertEquals(
                List.of("The device is on B20; it should be locked to B3."),
                Doubts.of(held("B3"), read("Tarnwave", "LTE", "B20", ""), List.of()));
        assertEquals(
                1,
                Doubts.of(held("LTE only"), read("", "NR-NSA", "B20", ""), List.of())
                        .size());
        assertEquals(
                1,
                Doubts.of(held("NR only"), read("", "LTE", "B20", ""), List.of())
                        .size());
        assertTrue(Doubts.of(held("automatic"), read("", "", "", "8"), List.of("7"))
                .get(0)
                .contains("8 instead of 7"));
    }

    @Test
    void change_overs_are_learned_as_the_median_of_the_last_ones() {
        assertEquals(
                4.0,
                LearnedMinutes.minutes(Map.of(Work.LEADS, List.of(9.0, 9.0))).get(Work.LEADS),
                "two say little");
        assertEquals(
                7.0,
                LearnedMinutes.minutes(Map.of(Work.LEADS, List.of(9.0, 7.0, 6.0)))
                        .get(Work.LEADS));
        assertEquals(
                6.5,
                LearnedMinutes.minutes(Map.of(Work.LEADS, List.of(9.0, 7.0, 6.0, 2.0)))
                        .get(Work.LEADS));
        List<Move> moves =
                RigState.UNKNOWN.movesTo(Rig.of("Curlew").antenna("Rowan", 3).arrangement());
        assertEquals(Map.of(Work.MAST_UP, 20.0, Work.LEADS, 8.0), LearnedMinutes.share(moves, 28));
        assertEquals(Map.of(), LearnedMinutes.share(moves, 61), "who took an hour was doing something else");
        assertEquals(Map.of(), LearnedMinutes.share(List.of(), 5));
    }

    @Test
    void a_visit_that_is_left_out_is_not_waited_for() {
        List<Visit> visits =
                List.of(new Visit(1, 0, List.of(), 0), new Visit(1, 1, List.of(), 0), new Visit(2, 1, List.of(), 0));
        Remaining remaining = Remaining.of(visits, 1, List.of(new Remaining.LoggedRun(1, 0)), Set.of(1));
        assertEquals(Optional.of(2), remaining.next());
    }
}
