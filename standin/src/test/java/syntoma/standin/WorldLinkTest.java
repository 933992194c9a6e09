package syntoma.standin;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.time.Clock;
import java.time.ZoneOffset;
import java.util.Set;
import org.junit.jupiter.api.Test;
import syntoma.standin.air.Hands;

class WorldLinkTest {
    @Test
    void a_setup_with_one_thing_changed_is_understood_and_bands_that_are_held_are_obeyed() {
        Clock clock = Clock.fixed(DemoLog.EVENING.since().toInstant(), ZoneOffset.ofHours(2));
        WorldLink link = new WorldLink(clock, Hands.of("Lighthouse Meadow", World.ROOF_DOME, "Tarnwave"));
        link.hold(Hands.of("Lighthouse Meadow", "Roof dome, B3 alone", "Tarnwave"));
        assertEquals(World.ROOF_DOME, link.hands().setup());
        assertEquals(Set.of("B3"), link.hands().lockedBands());
        assertEquals("B3", link.air().orElseThrow().primary().cell().channel().band());
        link.hold(Hands.of("Lighthouse Meadow", "Mast panel, on the table", "Tarnwave"));
        assertEquals(World.MAST_PANEL, link.hands().setup());
        assertEquals(Set.of(), link.hands().lockedBands());
    }
}
