package syntoma.core.roof;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import syntoma.core.chain.CableClass;
import syntoma.core.chain.Shell;
import syntoma.core.sentence.Texts;

/** The way of the leads: its bends, what it passes, and the ways in that there are. */
class CablingTest {
    private static final Spot ANTENNA = new Spot(1, 0.5);
    private static final Spot DEVICE = new Spot(3, 1);

    private static Cabling cabling(Optional<Spot> entry, Spot... bends) {
        return new Cabling(DEVICE, 1, entry, List.of(bends), 3, 0.3, 0.2, CableClass.of("195-class"), 1800);
    }

    private static Thing thing(Thing.Kind kind, double x, double y, double length, double width, double freeMm) {
        return new Thing(kind, kind.says(), new Rect(x, y, length, width), 0.05, 0, freeMm);
    }

    @Test
    void bends_make_the_way_longer_by_what_they_go_round() {
        // 2 m along and 0.5 m across, 1 m down, 0.3 m slack, 0.2 m loop
        assertEquals(4, cabling(Optional.empty()).wantedM(ANTENNA), 1e-12);
        // out to y = 1.5 and back: half a metre further each way
        assertEquals(5, cabling(Optional.empty(), new Spot(2, 1.5)).wantedM(ANTENNA), 1e-12);
        assertEquals(1, cabling(Optional.empty()).extensionM(ANTENNA), 1e-12);
        assertEquals(
                6,
                cabling(Optional.of(new Spot(1, 1.5)), new Spot(1, 1.5), new Spot(2, 1.5))
                                .wantedM(ANTENNA)
                        + 1,
                1e-12);
    }

    @Test
    void leads_keep_off_gas_cross_wiring_and_do_not_go_through_rafters() {
        Thing gas = thing(Thing.Kind.GAS, 1.5, 0.52, 1, 0.02, 0);
        Thing wiring = thing(Thing.Kind.WIRING, 2, 0, 0.02, 1.5, 0);
        Thing far = thing(Thing.Kind.GAS, 0, 1.4, 4, 0.02, 0);
        List<String> said = Texts.of(cabling(Optional.empty()).closePasses(List.of(gas, wiring, far), ANTENNA));
        assertEquals(2, said.size(), said.toString());
        assertTrue(said.get(0).startsWith("The leads pass gas line at 0.02 m: "), said.get(0));
        assertTrue(said.get(0).contains("never tie them to it"), said.get(0));
        assertTrue(said.get(1).startsWith("The leads cross wiring: cross it at a right angle"), said.get(1));
        // round by the other side
        assertEquals(
                List.of("The leads cross wiring: cross it at a right angle, and do not run along it."),
                Texts.of(
                        cabling(Optional.empty(), new Spot(1, 1)).closePasses(List.of(gas, wiring), new Spot(1, 0.9))));
        // over the roof to a way in behind it, nothing is passed
        assertEquals(List.of(), cabling(Optional.of(new Spot(2.9, 1))).closePasses(List.of(gas, wiring), ANTENNA));
    }

    @Test
    void ways_in_that_need_no_hole_and_let_the_leads_pass_come_first() {
        Thing wide = thing(Thing.Kind.INLET, 2.95, 0.95, 0.1, 0.1, 28);
        Thing narrow = thing(Thing.Kind.INLET, 1.4, 0.45, 0.1, 0.1, 12);
        Roof roof = new Roof(4, 1.7, Shell.STEEL, 30, false, 2.8, 4, List.of(narrow, wide));
        OptionalDouble bore = OptionalDouble.of(15);
        List<WayIn> ways = WayIn.all(roof, cabling(Optional.empty()), ANTENNA, bore);
        assertEquals(
                List.of("existing cable entry", "hole", "existing cable entry"),
                ways.stream()
                        .map(w -> w.inlet().map(Thing::name).orElse("hole"))
                        .toList());
        assertEquals(28, ways.get(0).inlet().orElseThrow().freeMm());
        assertTrue(
                ways.get(0).says(bore).toString().endsWith("they pass its 28 mm."),
                ways.get(0).says(bore).toString());
        assertEquals(
                "A hole of 15.0 mm beneath the antenna: the leads need 1.0 m more.",
                ways.get(1).says(bore).toString());
        assertTrue(
                ways.get(2)
                        .says(bore)
                        .toString()
                        .endsWith("they do not pass its 12 mm, which would have to be 15.0 mm."),
                ways.get(2).says(bore).toString());
        assertTrue(WayIn.all(roof, cabling(Optional.empty()), ANTENNA, OptionalDouble.empty()).stream()
                .filter(w -> w.inlet().isPresent())
                .allMatch(w -> w.passes().isEmpty()));
    }

    @Test
    void a_tall_antenna_beside_a_panel_shades_it() {
        Thing panel = new Thing(Thing.Kind.PANEL, "Panel", new Rect(1.3, 0, 1, 1), 0.04, 0, 0);
        Roof roof = new Roof(4, 1.7, Shell.STEEL, 30, false, 2.8, 4, List.of(panel));
        Foot tall = new Foot("Whip", 0.1, 0.1, 0.44, 0.1, 0, 0, Foot.Fixing.GLUED, 0);
        Search search = new Search(roof, tall, cabling(Optional.empty()));
        // 0.40 m over the panel at 30° is 0.40 / tan 30° = 0.69 m
        assertEquals(1, search.shadows(new Spot(1, 0.5)).size());
        assertTrue(search.shadows(new Spot(1, 0.5)).get(0).toString().contains("a shadow of 0.69 m"));
        assertEquals(List.of(), search.shadows(new Spot(0.5, 0.5)));
    }

    @Test
    void a_mast_says_what_it_is_parked_driven_and_carried_by() {
        Roof roof = new Roof(4, 1.7, Shell.STEEL, 30, false, 2.8, 3, List.of());
        Mast mast = new Mast(
                new Wind(0.1, 2),
                OptionalDouble.of(6),
                OptionalDouble.of(0.35),
                OptionalDouble.of(9),
                OptionalDouble.of(6));
        assertEquals(
                List.of(
                        "Laid down, the mast is 3.15 m over the ground, 0.15 m over the vehicle’s limit: take it off to drive.",
                        "Raised, the mast is 6.00 m over the ground: parked only.",
                        "The mast weighs 9 kg with its antenna; what carries it holds 6 kg."),
                Texts.of(mast.notes(roof)));
        assertEquals(
                List.of(),
                new Mast(
                                new Wind(0.1, 2),
                                OptionalDouble.empty(),
                                OptionalDouble.of(0.2),
                                OptionalDouble.of(5),
                                OptionalDouble.of(6))
                        .notes(roof));
    }

    @Test
    void wifi_is_free_space_less_what_stands_between() {
        // 32.45 + 20 log10 0.003 + 20 log10 2437 = 49.73 dB at 3 m
        assertEquals(20 - 49.73 - 10, new WifiReach(Shell.STEEL, 3, false, 0).levelDbm(WifiReach.Band.LOW), 0.01);
        assertEquals(
                18, // steel in the high bands
                new WifiReach(Shell.STEEL, 3, false, 0).levelDbm(WifiReach.Band.HIGH)
                        - new WifiReach(Shell.STEEL, 3, true, 0).levelDbm(WifiReach.Band.HIGH),
                1e-9);
        assertEquals(WifiReach.Good.FAST, new WifiReach(Shell.STEEL, 3, true, 0).good());
        assertEquals(WifiReach.Good.CALLS, new WifiReach(Shell.STEEL, 12, true, 0).good());
        assertEquals(WifiReach.Good.NOTHING, new WifiReach(Shell.ALUMINIUM, 40, true, 4).good());
        assertEquals(
                "About 60 °C on a summer’s day; its maker allows 50 °C: ventilate it, and move it away from the outer wall.",
                WifiReach.heat(true, true, OptionalDouble.of(50)).toString());
        assertEquals(
                "About 35 °C on a summer’s day; its maker allows 50 °C.",
                WifiReach.heat(false, false, OptionalDouble.of(50)).toString());
    }
}
