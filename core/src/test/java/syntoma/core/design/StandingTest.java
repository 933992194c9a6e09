package syntoma.core.design;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

class StandingTest {
    private static final String AUTOMATIC = "automatic";
    private static final Contender DOME = on("Roof dome", "Tarnwave", "Curlew", Map.of("Alder", 0.0));
    private static final Contender MAST = on("Mast panel", "Tarnwave", "Curlew", Map.of("Rowan", 3.0));
    private static final Contender BARE = on("Hotspot", "Tarnwave", "Plover", Map.of());

    private static Contender on(String setup, String carrier, String device, Map<String, Double> antennas) {
        return new Contender(
                setup,
                carrier,
                device,
                "inside",
                new TreeMap<>(antennas),
                Optional.empty(),
                AUTOMATIC,
                Optional.empty());
    }

    private static List<Work> works(List<Move> moves) {
        return moves.stream().map(Move::work).toList();
    }

    @Test
    void the_first_is_put_up_whole_and_one_that_stands_needs_nothing() {
        assertEquals(List.of(Work.MAST_UP, Work.LEADS), works(Standing.nothing().putUp(MAST)));
        assertEquals(List.of(), Standing.with(MAST).putUp(MAST));
    }

    @Test
    void between_two_antennas_on_one_device_only_the_leads_are_changed() {
        Standing standing = Standing.with(DOME);
        assertEquals(List.of(Work.MAST_UP, Work.LEADS), works(standing.putUp(MAST)));
        List<Move> back = standing.putUp(DOME);
        assertEquals(
                "Take the leads of Rowan off, put the leads of Alder on Curlew.",
                back.get(0).says());
        assertEquals(List.of(Work.LEADS), works(back));
        assertEquals(List.of(Work.LEADS), works(standing.putUp(MAST)), "the mast is up still");
    }

    @Test
    void one_antenna_at_two_heights_goes_up_and_down() {
        Contender low = on("Panel low", "Tarnwave", "Curlew", Map.of("Rowan", 0.0));
        Standing standing = Standing.with(low);
        List<Move> up = standing.putUp(MAST);
        assertEquals(List.of(Work.MAST_UP), works(up));
        assertEquals("Raise Rowan to 3.0 m above the roof.", up.get(0).says());
        assertTrue(up.get(0).caution().orElse("").contains("overhead"));
        assertEquals(List.of(Work.MAST_DOWN), works(standing.putUp(low)));
    }

    @Test
    void one_card_wanders_between_two_devices_and_two_stay_where_they_are() {
        Standing one = Standing.with(DOME);
        List<Move> moved = one.putUp(BARE);
        assertEquals(List.of(Work.DEVICE, Work.SIM), works(moved));
        assertTrue(moved.get(1).caution().orElse("").startsWith("Switch the device off first"));
        Standing two = Standing.with(DOME);
        Contender other = on("Hotspot", "Brissa", "Plover", Map.of());
        assertEquals(List.of(Work.DEVICE), works(two.putUp(other)));
        assertEquals(List.of(Work.DEVICE), works(two.putUp(DOME)));
    }

    @Test
    void two_carriers_in_one_device_change_the_card() {
        Standing standing = Standing.with(DOME);
        Contender other = on("Roof dome", "Ostrel", "Curlew", Map.of("Alder", 0.0));
        assertEquals(
                List.of("Put the card of Ostrel into Curlew."),
                standing.putUp(other).stream().map(Move::says).toList());
        assertEquals(List.of(Work.SIM), works(standing.putUp(DOME)));
    }

    @Test
    void bands_booster_and_place_are_a_hand_each() {
        Standing standing = Standing.with(BARE);
        Contender held = new Contender(
                "Held",
                "Tarnwave",
                "Plover",
                "window",
                new TreeMap<>(),
                Optional.of("Bittern"),
                "B3",
                Optional.empty());
        List<Move> moves = standing.putUp(held);
        assertEquals(List.of(Work.BOOSTER, Work.PLACE, Work.BANDS), works(moves));
        assertEquals("Hold Plover to B3.", moves.get(2).says());
        assertEquals(
                List.of("Switch the booster off.", "Put Plover in its place: inside.", "Let Plover choose its bands."),
                standing.putUp(BARE).stream().map(Move::says).toList());
    }
}
