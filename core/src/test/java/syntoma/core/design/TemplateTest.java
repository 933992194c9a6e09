package syntoma.core.design;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import syntoma.core.state.Move;
import syntoma.core.state.Rig;
import syntoma.core.state.RigState;

class TemplateTest {
    private static final Contender MAST = on("Mast", "Curlew", "Rowan", Optional.empty());
    private static final Contender DOME = on("Dome", "Curlew", "Alder", Optional.empty());
    private static final Contender SMALL_MAST = on("Small mast", "Plover", "Rowan", Optional.empty());
    private static final Contender SMALL_DOME = on("Small dome", "Plover", "Alder", Optional.empty());
    private static final Contender BOOSTED = on("Boosted", "Plover", "Alder", Optional.of("Bittern"));

    private static Contender on(String setup, String device, String antenna, Optional<String> booster) {
        return new Contender(
                setup, Rig.of(device).antenna(antenna, 0).booster(booster).arrangement());
    }

    private static Template.Proposal propose(Template template, Contender... setups) {
        return template.propose(new Template.Board(
                List.of(setups), List.of("Tarnwave", "Ostrel"), c -> List.of("B3", "B20"), c -> true));
    }

    private static List<String> names(Template.Proposal proposal) {
        assertEquals(Optional.empty(), proposal.lacking());
        return proposal.choices().stream()
                .map(c -> c.setup()
                        + c.variation().map(v -> ", " + v.phrase()).orElse("")
                        + (c.carrier().equals("Tarnwave") ? "" : " on " + c.carrier()))
                .toList();
    }

    @Test
    void each_is_filled_in_from_what_is_on_board() {
        assertEquals(List.of("Dome", "Mast"), names(propose(Template.BEFORE_AFTER, MAST, SMALL_MAST, DOME)));
        assertEquals(List.of("Boosted, booster off", "Boosted"), names(propose(Template.BOOSTER, MAST, BOOSTED)));
        assertEquals(List.of("Mast", "Dome"), names(propose(Template.ANTENNAS, MAST, SMALL_DOME, DOME)));
        assertEquals(List.of("Mast", "Small mast"), names(propose(Template.DEVICES, MAST, SMALL_MAST, DOME)));
        assertEquals(List.of("Mast", "Mast on Ostrel"), names(propose(Template.CARRIERS, MAST)));
        assertEquals(List.of("Mast", "Mast, B3 alone", "Mast, B20 alone"), names(propose(Template.BANDS, MAST)));
        assertEquals(
                List.of("Mast, on the roof", "Mast, 2 m up", "Mast, 4 m up"), names(propose(Template.HEIGHTS, MAST)));
        assertEquals(List.of("Mast, without a plate", "Mast, with a plate"), names(propose(Template.PLATE, MAST)));
        assertEquals(3, propose(Template.SPACING, BOOSTED).choices().size());
        assertEquals(
                List.of("08:00", "13:00", "20:00"),
                propose(Template.HOURS, MAST, DOME).times());
        Template.Proposal roof = propose(Template.ROOF_TEST, MAST);
        assertEquals(List.of("Mast, own antennas", "Mast"), names(roof));
        assertTrue(roof.isBaselineFirst(), "what is had is measured before anything is tried");
    }

    @Test
    void a_grid_wants_each_antenna_on_each_device() {
        assertEquals(
                List.of("Mast", "Small mast", "Dome", "Small dome"),
                names(propose(Template.GRID, MAST, DOME, SMALL_MAST, SMALL_DOME)));
        assertTrue(propose(Template.GRID, MAST, DOME, SMALL_MAST).lacking().isPresent());
    }

    @Test
    void what_is_not_on_board_is_said() {
        for (Template template : Template.values()) {
            assertTrue(
                    propose(template).lacking().orElseThrow().contains("Gear"),
                    template.says().toString());
        }
        assertTrue(propose(Template.BOOSTER, MAST).lacking().orElseThrow().contains("booster"));
    }

    /** Where the antennas stay on the roof, it makes no difference where the device is. */
    @Test
    void places_are_tried_with_what_moves_with_the_device_alone() {
        Contender bare = new Contender("Hotspot", Rig.of("Plover").arrangement());
        assertTrue(propose(Template.PLACES, MAST).lacking().orElse("").contains("stays where it is"));
        assertEquals(
                "Hotspot, on the table",
                names(propose(Template.PLACES, MAST, bare)).get(0));
    }

    @Test
    void a_plate_is_tried_under_an_antenna_that_needs_one() {
        Template.Board board = new Template.Board(
                List.of(MAST, DOME), List.of(), c -> List.of(), c -> c.setup().equals("Dome"));
        assertEquals(List.of("Dome, without a plate", "Dome, with a plate"), names(Template.PLATE.propose(board)));
        Template.Board none = new Template.Board(List.of(MAST), List.of(), c -> List.of(), c -> false);
        assertTrue(Template.PLATE.propose(none).lacking().orElse("").contains("by its data sheet"));
    }

    @Test
    void a_locked_device_is_tried_on_no_other_carrier() {
        Contender locked =
                new Contender("Locked", Rig.of("Plover").lockedTo("Tarnwave").arrangement());
        assertEquals(
                "Plover takes SIMs of Tarnwave only.",
                propose(Template.CARRIERS, locked).lacking().orElse(""));
    }

    @Test
    void where_there_is_nr_the_sweep_tries_lte_only_as_well() {
        Template.Board board = new Template.Board(List.of(MAST), List.of(), c -> List.of("B3", "n78"), c -> false);
        assertEquals(List.of("Mast", "Mast, B3 alone", "Mast, LTE only"), names(Template.BANDS.propose(board)));
    }

    /** A chain says bands and modes; what is left out, and NSA, hands set. */
    @Test
    void what_a_chain_cannot_say_is_set_by_hand() {
        assertEquals(Optional.empty(), new Variation(Variation.Kind.BANDS, "LTE only").arranged(DOME));
        assertEquals(
                "Set Curlew to all but B3.",
                new Variation(Variation.Kind.BANDS, "all but B3")
                        .arranged(DOME)
                        .orElseThrow()
                        .says()
                        .toString());
    }

    @Test
    void contenders_of_two_factors_make_a_grid() {
        Grid grid = Grid.of(List.of(MAST, SMALL_MAST, DOME, SMALL_DOME)).orElseThrow();
        assertEquals(Grid.Factor.DEVICE, grid.across());
        assertEquals(List.of("Curlew", "Plover"), grid.columns());
        assertEquals(List.of("Rowan", "Alder"), grid.rows());
        assertEquals(3, grid.cells()[1][1]);
        assertEquals(Optional.empty(), Grid.of(List.of(MAST, SMALL_MAST, DOME)), "one cell is empty");
        assertEquals(Optional.empty(), Grid.of(List.of(MAST, DOME)), "one factor alone");
        assertEquals(Optional.empty(), Grid.of(List.of(MAST, SMALL_DOME, DOME, BOOSTED)), "three factors");
    }

    @ParameterizedTest
    @CsvSource({
        "BANDS, B3 + b20, B3 + B20 alone",
        "BANDS, All but b3, all but B3",
        "BANDS, lte only, LTE only",
        "BANDS, NR SA only, NR SA only",
        "BANDS, nsa, NSA",
        "BOOSTER, off, booster off",
        "PLACE, on the table, on the table",
        "HEIGHT, '2,5', 2.5 m up",
        "SPACING, 0.5, 0.5 m from it",
        "PLATE, without, without a plate"
    })
    void a_change_is_called_by_what_is_changed(Variation.Kind kind, String value, String phrase) {
        assertEquals(phrase, new Variation(kind, value).phrase());
    }

    @ParameterizedTest
    @CsvSource({"BANDS, B999", "BOOSTER, on", "HEIGHT, high", "HEIGHT, 30", "SPACING, 0", "PLATE, maybe", "PLACE, ''"})
    void a_change_that_cannot_be_is_refused_with_its_value(Variation.Kind kind, String value) {
        String said = assertThrows(IllegalArgumentException.class, () -> new Variation(kind, value))
                .getMessage();
        assertTrue(said.contains(value), said);
    }

    @Test
    void what_is_no_part_of_a_chain_is_arranged_by_hand() {
        Contender table = DOME.arranged(new Variation(Variation.Kind.PLACE, "on the table").arranged(DOME));
        Contender floor = DOME.arranged(new Variation(Variation.Kind.PLACE, "on the floor").arranged(DOME));
        RigState state = RigState.with(table.arrangement());
        assertEquals(List.of("Put Curlew on the floor."), says(state.movesTo(floor.arrangement())));
        RigState onFloor = state.after(floor.arrangement());
        assertEquals(List.of(), says(onFloor.movesTo(floor.arrangement())));
        assertEquals(
                List.of("Put things back as they were before “on the floor”."),
                says(onFloor.movesTo(DOME.arrangement())));
    }

    private static List<String> says(List<Move> moves) {
        return moves.stream().map(move -> move.says().toString()).toList();
    }

    @Test
    void times_of_day_share_the_rounds_out_from_the_next_of_them_on() {
        List<LocalTime> times = List.of(LocalTime.of(8, 0), LocalTime.of(13, 0), LocalTime.of(20, 0));
        List<Sessions.Session> sessions = Sessions.of(6, times, LocalDateTime.parse("2026-08-03T14:00"));
        assertEquals(
                List.of(
                        new Sessions.Session(LocalDateTime.parse("2026-08-03T20:00"), 1, 2),
                        new Sessions.Session(LocalDateTime.parse("2026-08-04T08:00"), 3, 4),
                        new Sessions.Session(LocalDateTime.parse("2026-08-04T13:00"), 5, 6)),
                sessions);
        assertEquals(6, Sessions.rounds(5, 3));
        assertEquals(6, Sessions.rounds(6, 3));
    }
}
