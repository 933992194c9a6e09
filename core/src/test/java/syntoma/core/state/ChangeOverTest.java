package syntoma.core.state;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import syntoma.core.chain.Source;

class ChangeOverTest {
    private static final Arrangement DOME = Rig.of("Curlew").antenna("Alder", 0).arrangement();
    private static final Arrangement MAST = Rig.of("Curlew").antenna("Rowan", 3).arrangement();
    private static final Arrangement BARE = Rig.of("Plover").arrangement();

    private static List<Work> works(List<Move> moves) {
        return moves.stream().map(Move::work).toList();
    }

    private static List<String> says(List<Move> moves) {
        return moves.stream().map(move -> move.says().toString()).toList();
    }

    @Test
    void the_first_is_put_up_whole_and_one_that_is_up_needs_nothing() {
        assertEquals(List.of(Work.MAST_UP, Work.LEADS), works(RigState.UNKNOWN.movesTo(MAST)));
        assertEquals(List.of(), RigState.with(MAST).movesTo(MAST));
    }

    @Test
    void between_two_antennas_on_one_device_only_the_leads_are_changed() {
        RigState mast = RigState.with(DOME).after(MAST);
        assertEquals(
                List.of(Work.MAST_UP, Work.LEADS), works(RigState.with(DOME).movesTo(MAST)));
        assertEquals(
                List.of("Unplug the leads of Rowan from Curlew, then plug the leads of Alder into Curlew."),
                says(mast.movesTo(DOME)));
        assertEquals(List.of(Work.LEADS), works(mast.after(DOME).movesTo(MAST)), "the mast is up still");
    }

    @Test
    void an_antenna_is_in_one_place_and_comes_off_the_device_that_it_is_on() {
        Arrangement other = Rig.of("Plover").on("Brissa").antenna("Alder", 0).arrangement();
        RigState dome = RigState.with(DOME);
        assertEquals(
                List.of(
                        "Use Plover instead of Curlew.",
                        "Unplug the leads of Alder from Curlew and plug them into Plover."),
                says(dome.movesTo(other)));
        RigState moved = dome.after(other);
        assertEquals("Plover", moved.leads().get("Alder"));
        assertEquals(
                List.of(
                        "Use Curlew instead of Plover.",
                        "Unplug the leads of Alder from Plover and plug them into Curlew."),
                says(moved.movesTo(DOME)));
        String caution = dome.movesTo(other).get(1).caution().orElse("");
        assertTrue(caution.startsWith("Switch Plover and Curlew off first"), caution);
    }

    @Test
    void antennas_that_came_with_a_device_make_room_for_leads_and_go_back_on() {
        Arrangement bare = Rig.of("Curlew").screwOn().arrangement();
        Arrangement dome = Rig.of("Curlew").screwOn().antenna("Alder", 0).arrangement();
        Arrangement panel = Rig.of("Curlew").screwOn().antenna("Sorrel", 0).arrangement();
        RigState state = RigState.with(bare);
        assertEquals(
                List.of("Unscrew the antennas that are on Curlew, then plug the leads of Alder into Curlew."),
                says(state.movesTo(dome)));
        assertEquals(
                List.of("Unplug the leads of Alder from Curlew, then screw its own antennas back on."),
                says(state.after(dome).movesTo(bare)));
        assertEquals(
                List.of("Unplug the leads of Alder from Curlew, then plug the leads of Sorrel into Curlew."),
                says(state.after(dome).movesTo(panel)));
    }

    @Test
    void one_antenna_at_two_heights_goes_up_and_down() {
        Arrangement low = Rig.of("Curlew").antenna("Rowan", 0).arrangement();
        RigState state = RigState.with(low);
        List<Move> up = state.movesTo(MAST);
        assertEquals(List.of("Raise Rowan to 3.0 m above the roof."), says(up));
        assertTrue(up.get(0).caution().orElse("").contains("overhead lines"));
        assertEquals(List.of(Work.MAST_DOWN), works(state.after(MAST).movesTo(low)));
    }

    @Test
    void one_sim_moves_between_two_devices_and_two_stay_where_they_are() {
        List<Move> moved = RigState.with(DOME).movesTo(BARE);
        assertEquals(List.of(Work.DEVICE, Work.SIM), works(moved));
        assertEquals(
                "Take the Tarnwave SIM out of Curlew and put it into Plover.",
                moved.get(1).says().toString());
        assertTrue(moved.get(1).caution().orElse("").startsWith("Switch Curlew and Plover off first"));
        RigState two = RigState.with(DOME);
        Arrangement other = Rig.of("Plover").on("Brissa").arrangement();
        assertEquals(List.of(Work.DEVICE), works(two.movesTo(other)));
        assertEquals(List.of(Work.DEVICE), works(two.after(other).movesTo(DOME)));
    }

    @Test
    void in_a_single_slot_one_sim_makes_room_for_the_other_with_the_power_off() {
        Arrangement other = Rig.of("Curlew").on("Ostrel").antenna("Alder", 0).arrangement();
        List<Move> moves = RigState.with(DOME).movesTo(other);
        assertEquals(List.of("Put the Ostrel SIM into Curlew, in place of the Tarnwave SIM."), says(moves));
        assertTrue(moves.get(0).caution().orElse("").startsWith("Switch Curlew off first"));
        assertEquals(List.of(Work.SIM), works(RigState.with(DOME).after(other).movesTo(DOME)));
    }

    /** Two SIMs on board in two slots: half a minute in the menu (docs/methods.md#20-state). */
    @Test
    void two_sims_in_two_slots_are_switched_in_the_menu() {
        Rig curlew = Rig.of("Curlew").slots(2).sim("Tarnwave 100", "Tarnwave").sim("Ostrel 50", "Ostrel");
        RigState state = RigState.with(curlew.arrangement());
        List<Move> moves = state.movesTo(curlew.on("Ostrel").arrangement());
        assertEquals(List.of("Switch Curlew to the Ostrel SIM in its menu."), says(moves));
        assertEquals(0.5, Work.usual().get(moves.get(0).work()));
        assertEquals(Optional.empty(), moves.get(0).caution());
    }

    @Test
    void a_second_slot_is_filled_once_and_switched_from_then_on() {
        Arrangement first = Rig.of("Curlew").slots(2).arrangement();
        Arrangement second = Rig.of("Curlew").slots(2).on("Ostrel").arrangement();
        RigState state = RigState.with(first);
        assertEquals(List.of("Put the Ostrel SIM into Curlew."), says(state.movesTo(second)));
        assertEquals(List.of(Work.SIM_SLOT), works(state.after(second).movesTo(first)));
    }

    @Test
    void a_sim_that_was_taken_out_has_to_be_put_back() {
        Arrangement ostrel = Rig.of("Curlew").on("Ostrel").arrangement();
        RigState state = RigState.with(DOME).after(ostrel);
        assertEquals("", state.sims().get("Tarnwave").device());
        assertEquals(
                List.of("Use Plover instead of Curlew.", "Put the Tarnwave SIM into Plover."),
                says(state.movesTo(BARE)));
    }

    @Test
    void two_sims_of_a_carrier_are_told_apart_by_their_names() {
        Arrangement one = Rig.of("Curlew").sim("Big plan", "Tarnwave").arrangement();
        Arrangement two = Rig.of("Plover").sim("Small plan", "Tarnwave").arrangement();
        assertEquals(List.of(Work.DEVICE), works(RigState.with(one).movesTo(two)));
        Arrangement unnamed = Rig.of("Plover").arrangement();
        assertEquals(List.of(), works(RigState.with(one).after(two).movesTo(unnamed)), "the one in Plover will do");
    }

    @Test
    void campground_wifi_and_satellite_need_no_sim() {
        Arrangement wifi =
                Rig.of("Curlew").source(Source.CAMPGROUND_WIFI).on("").arrangement();
        RigState state = RigState.with(BARE);
        assertEquals(
                List.of("Use Curlew instead of Plover.", "Set Curlew to use the campground Wi-Fi."),
                says(state.movesTo(wifi)));
        assertEquals(
                List.of("Set Curlew to use its SIM."),
                says(RigState.with(wifi).movesTo(Rig.of("Curlew").arrangement())));
    }

    @Test
    void a_locked_device_takes_the_sims_of_its_carrier_alone() {
        assertTrue(Rig.of("Plover").lockedTo("Tarnwave").arrangement().isAllowed());
        assertFalse(
                Rig.of("Plover").lockedTo("Tarnwave").on("Ostrel").arrangement().isAllowed());
    }

    /** The antenna outside stays plugged into the booster: with the booster off the device uses its own. */
    @Test
    void a_booster_trial_only_switches_the_booster() {
        Arrangement on = Rig.of("Plover").antenna("Alder", 0).booster("Bittern").arrangement();
        RigState state = RigState.with(on);
        assertEquals(List.of("Switch Bittern off."), says(state.movesTo(BARE)));
        assertEquals(List.of("Switch Bittern on."), says(state.after(BARE).movesTo(on)));
    }

    @Test
    void bands_and_place_are_a_step_each() {
        Arrangement held = Rig.of("Plover").place("window").bands("B3").arrangement();
        RigState state = RigState.with(BARE);
        assertEquals(List.of("Put Plover at the window.", "Set Plover to B3 only."), says(state.movesTo(held)));
        assertEquals(
                List.of("Put Plover back inside.", "Let Plover choose its bands again."),
                says(state.after(held).movesTo(BARE)));
    }

    @Test
    void a_piece_of_gear_with_another_name_is_where_it_was() {
        RigState renamed = RigState.with(MAST).renamed("Rowan", "New panel").renamed("Curlew", "Router");
        Arrangement same = Rig.of("Router").antenna("New panel", 3).arrangement();
        assertEquals(List.of(), renamed.movesTo(same));
    }

    @Test
    void a_setup_of_which_nothing_is_known_says_so_and_takes_its_time() {
        Arrangement unknown = Arrangement.ofUnknown("Old hotspot", "Tarnwave");
        List<Move> moves = RigState.with(DOME).movesTo(unknown);
        assertEquals(
                "Set up Old hotspot: Gear does not say what it is made of.",
                moves.get(0).says().toString());
        assertEquals(Work.UNKNOWN, moves.get(0).work());
        assertEquals(List.of(), RigState.with(unknown).movesTo(unknown));
        assertEquals(
                "Use Curlew instead of Old hotspot.",
                RigState.with(DOME).after(unknown).movesTo(DOME).get(0).says().toString());
    }
}
