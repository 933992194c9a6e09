package syntoma.core.state;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;

class LeavingTest {
    private static final Arrangement ALL = Rig.of("Plover")
            .place("window")
            .antenna("Rowan", 3)
            .atTheWindow("Sorrel")
            .booster("Bittern")
            .bands("B3")
            .arrangement();

    private static List<String> says(List<Move> moves) {
        return moves.stream().map(move -> move.says().toString()).toList();
    }

    @Test
    void the_mast_comes_first_then_cables_windows_bands_and_booster() {
        RigState state = RigState.with(ALL);
        List<Move> steps = Leaving.from(state).moves();
        assertEquals(
                List.of(
                        "Lower Rowan and stow it: it is 3.0 m above the roof.",
                        "Unplug the leads of Rowan from Bittern and bring them in.",
                        "Unplug the leads of Sorrel from Bittern and bring them in.",
                        "Take Sorrel down from the window.",
                        "Bring Plover in from the window.",
                        "Let Plover choose its bands again: B3 may not work at the next campsite.",
                        "Switch Bittern off."),
                says(steps));
        assertTrue(steps.get(0).caution().orElse("").startsWith("Never drive with a mast up"));
        assertEquals(List.of(), Leaving.from(state.afterAll(steps)).moves(), "nothing is left to take down");
    }

    @Test
    void what_was_taken_down_is_put_up_again_at_the_next_campsite() {
        RigState state = RigState.with(ALL);
        RigState away = state.afterAll(Leaving.from(state).moves());
        assertEquals(
                List.of(Work.MAST_UP, Work.PLACE, Work.LEADS, Work.BOOSTER, Work.PLACE, Work.BANDS),
                away.movesTo(ALL).stream().map(Move::work).toList());
    }

    @Test
    void what_stays_on_the_roof_is_left_alone() {
        RigState dome = RigState.with(Rig.of("Curlew").antenna("Alder", 0).arrangement());
        assertEquals(List.of(), Leaving.from(dome).moves());
        assertEquals(
                List.of(),
                dome.driven().movesTo(Rig.of("Curlew").antenna("Alder", 0).arrangement()));
    }

    /** Nobody has said that the mast was lowered, and the vehicle was driven: it is not up any more. */
    @Test
    void after_a_drive_the_mast_is_down() {
        Arrangement mast = Rig.of("Curlew").antenna("Rowan", 3).arrangement();
        RigState state = RigState.with(mast);
        assertEquals(List.of("Rowan"), state.raisedAntennas());
        assertEquals(List.of(), state.driven().raisedAntennas());
        assertEquals(
                List.of("Raise Rowan to 3.0 m above the roof."),
                says(state.driven().movesTo(mast)));
    }
}
