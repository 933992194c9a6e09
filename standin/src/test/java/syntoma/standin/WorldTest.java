package syntoma.standin;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import syntoma.standin.air.Hands;
import syntoma.standin.air.HeardCell;

/** The world does what masts, devices and plans do, and the truth can be asked. */
class WorldTest {
    private static final OffsetDateTime NOON = OffsetDateTime.parse("2026-07-24T12:00:00+03:00");
    private static final Hands PANEL = Hands.of("Lighthouse Meadow", World.MAST_PANEL, "Tarnwave");

    private final World world = new World(5);

    private List<Air> measured(Hands hands, int minutes) {
        List<Air> all = new ArrayList<>();
        for (int minute = 0; minute < minutes; minute++) {
            world.measure(hands, NOON.plusMinutes(minute)).ifPresent(all::add);
        }
        return all;
    }

    private static String band(HeardCell heard) {
        return heard.cell().channel().band();
    }

    @Test
    void a_setup_gains_what_its_sheets_promise_and_a_little_that_only_the_world_knows() {
        // B20 at 806 MHz: Rowan 8.5 dBi less 7.5 m of the 240-class (0.222 dB/m) and two connector pairs; Alder 2.4 dBi
        // less
        // 3 m of the 195-class (0.345 dB/m) and one; of 6.2 dB by height, 0.6 in sight of the mast
        double promised = 8.5 - 7.5 * 0.222 - 0.3 + 0.6 * 6.2 - (2.4 - 3 * 0.345 - 0.15);
        double[] off = DoubleStream.iterate(1, s -> s + 1)
                .limit(200)
                .map(seed -> new World((long) seed)
                                .trueGainDb(
                                        World.MAST_PANEL, World.ROOF_DOME, "Lighthouse Meadow", "Tarnwave", "B20", NOON)
                        - promised)
                .toArray();
        double mean = DoubleStream.of(off).average().orElseThrow();
        double sd = Math.sqrt(DoubleStream.of(off).map(d -> d * d).average().orElseThrow());
        assertEquals(0, mean, 0.5);
        assertTrue(sd > 1.2 && sd < 2.4, "the truth differs by " + sd + " dB");
    }

    @Test
    void a_heading_matters_in_sight_of_the_mast_and_not_among_trees() {
        double at = world.trueLevelDbm(PANEL.aimed(320), NOON);
        assertEquals(3, at - world.trueLevelDbm(PANEL.aimed(320 + 30), NOON), 1e-6, "half the beam of 60 degrees");
        Hands among = Hands.of("Sawmill Yard", World.MAST_PANEL, "Tarnwave");
        assertEquals(world.trueLevelDbm(among.aimed(310), NOON), world.trueLevelDbm(among.aimed(130), NOON), 1e-9);
    }

    @Test
    void a_device_obeys_its_locks_and_its_mode() {
        assertTrue(measured(PANEL, 30).stream().allMatch(air -> air.cells().size() == 2), "B3 is added to B20");
        List<Air> locked = measured(PANEL.locked(Set.of("B3")), 30);
        assertTrue(locked.stream()
                .allMatch(air -> air.cells().size() == 1 && band(air.primary()).equals("B3")));
        assertEquals(List.of(), measured(PANEL.locked(Set.of("B7")), 30));
        Hands nsa = Hands.of("Birch Hollow", World.ROOF_DOME, "Ostrel");
        assertTrue(measured(nsa, 30).stream().anyMatch(air -> air.mode().equals("NR-NSA")));
        assertTrue(
                measured(nsa.mode(true), 30).stream().allMatch(air -> air.mode().equals("LTE")));
    }

    @Test
    void nr_comes_and_goes_where_it_is_weak() {
        List<Air> here = measured(Hands.of("Quarry Lake", World.ROOF_DOME, "Tarnwave"), 600);
        double share = here.stream().filter(air -> air.mode().equals("NR-NSA")).count() / (double) here.size();
        assertTrue(share > 0.02 && share < 0.98, "NR is there in " + share);
    }

    @Test
    void a_cell_is_kept_until_another_is_clearly_stronger() {
        int changes = 0;
        Optional<String> before = Optional.empty();
        for (Air air : measured(Hands.of("Amber Spit", World.ROOF_DOME, "Tarnwave"), 600)) {
            String id = air.primary().cell().id();
            changes += before.isPresent() && !before.get().equals(id) ? 1 : 0;
            before = Optional.of(id);
        }
        assertTrue(changes < 60, changes + " changes in 600 minutes");
    }

    @Test
    void a_plan_that_is_used_up_leaves_a_trickle_until_its_reset_day() {
        Hands ostrel = Hands.of("Ferry Slip Four", World.WHIPS, "Ostrel");
        assertTrue(measured(ostrel, 5).stream().allMatch(air -> air.downMbps() > 20));
        world.use("Ostrel", NOON, 60);
        assertTrue(measured(ostrel, 5).stream().allMatch(air -> air.downMbps() < 0.6 && air.upMbps() < 0.6));
        OffsetDateTime reset = OffsetDateTime.parse("2026-08-12T09:00:00+03:00");
        assertTrue(IntStream.range(0, 5)
                .mapToObj(minute -> world.measure(ostrel, reset.plusMinutes(minute)))
                .flatMap(Optional::stream)
                .allMatch(air -> air.downMbps() > 20));
    }

    @Test
    void the_same_seed_is_the_same_world_and_another_is_not() {
        double one = new World(5).trueLevelDbm(PANEL, NOON);
        assertEquals(one, world.trueLevelDbm(PANEL, NOON));
        assertNotEquals(one, new World(6).trueLevelDbm(PANEL, NOON));
    }
}
