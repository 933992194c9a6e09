package syntoma.core.roof;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import syntoma.core.chain.CableClass;
import syntoma.core.chain.Shell;
import syntoma.core.chain.Staircase;

class SearchTest {
    private static final CableClass CABLE = CableClass.of("195-class");

    private static Thing thing(Thing.Kind kind, String name, double x, double y, double length, double width) {
        return new Thing(kind, name, new Rect(x, y, length, width), 0.1, 0, 0);
    }

    private static Roof roof(Shell shell, Thing... things) {
        return new Roof(6, 2, shell, 30, true, 2.86, 4, List.of(things));
    }

    private static Foot foot(Foot.Fixing fixing, double clearance, double groundPlane) {
        return new Foot("Alder", 0.2, 0.2, 0.1, clearance, groundPlane, 0, fixing, 20);
    }

    private static Cabling cabling(Optional<Spot> entry, double lead) {
        return new Cabling(new Spot(3, 1), 1, entry, List.of(), lead, 0.3, 0.2, CABLE, 1800);
    }

    private static Place at(Roof roof, Foot foot, double x, double y) {
        return new Search(roof, foot, cabling(Optional.empty(), 5)).at(new Spot(x, y));
    }

    private static Optional<Objection.Why> why(Roof roof, Foot foot, double x, double y) {
        return at(roof, foot, x, y).objection().map(Objection::kind);
    }

    @Test
    void each_rule_objects_where_it_is_broken() {
        Roof roof = roof(
                Shell.STEEL,
                thing(Thing.Kind.VENT, "Vent", 2, 0.8, 0.4, 0.4),
                thing(Thing.Kind.PANEL, "Panel 1", 4, 0.5, 1.5, 1),
                thing(Thing.Kind.RAFTER, "Rafter 2", 1, 0, 0.05, 2),
                thing(Thing.Kind.GAS, "Gas line", 0, 1.8, 6, 0.02));
        Foot drilled = foot(Foot.Fixing.DRILLED, 0.5, 0.4);
        assertEquals(Optional.of(Objection.Why.OFF_ROOF), why(roof, drilled, 0.05, 1));
        assertEquals(Optional.of(Objection.Why.ON_THING), why(roof, drilled, 4.5, 1));
        assertEquals(Optional.of(Objection.Why.HOLE), why(roof, drilled, 1.02, 0.5));
        assertEquals(Optional.of(Objection.Why.HOLE), why(roof, drilled, 0.5, 1.7), "0.10 m from the gas line");
        assertEquals(Optional.of(Objection.Why.GROUND_PLANE), why(roof, drilled, 2.2, 0.65));
        assertEquals(Optional.of(Objection.Why.CLEARANCE), why(roof, drilled, 2.8, 1));
        assertEquals(Optional.empty(), why(roof, drilled, 0.6, 1));
        assertEquals(
                Optional.empty(),
                why(roof, foot(Foot.Fixing.GLUED, 0.5, 0.4), 1.02, 0.5),
                "what lies under the roof hinders nobody who does not drill");
        Place near = at(roof, drilled, 2.8, 1);
        assertEquals(0.3, near.clearanceM(), 1e-9);
        assertEquals(
                "Vent is 0.30 m away; Alder asks for 0.50 m.",
                near.objection().orElseThrow().says().toString());
    }

    @Test
    void a_roof_without_metal_wants_a_plate_of_the_side_that_the_sheet_states() {
        Objection none = at(roof(Shell.GRP), foot(Foot.Fixing.GLUED, 0, 0.4), 3, 1)
                .objection()
                .orElseThrow();
        assertEquals(
                "The roof is no ground plane: put a steel plate of 40 cm × 40 cm beneath Alder.",
                none.says().toString());
        Foot plated = new Foot("Alder", 0.2, 0.2, 0.1, 0, 0.4, 0.4, Foot.Fixing.GLUED, 0);
        assertEquals(Optional.empty(), why(roof(Shell.GRP), plated, 3, 1));
        assertEquals(Optional.of(Objection.Why.OFF_ROOF), why(roof(Shell.GRP), plated, 3, 0.15), "the plate counts");
        assertEquals(
                Optional.of(Objection.Why.GROUND_PLANE),
                why(roof(Shell.STEEL), foot(Foot.Fixing.GLUED, 0, 0.4), 3, 0.15),
                "the roof ends too soon");
    }

    @Test
    void the_leads_are_calculated_along_and_across_with_slack_drop_and_drip_loop() {
        Cabling beneath = cabling(Optional.empty(), 5);
        assertEquals(2 + 0.5 + 1 + 0.3 + 0.2, beneath.wantedM(new Spot(1, 0.5)), 1e-12);
        assertEquals(0, beneath.extensionM(new Spot(1, 0.5)));
        assertEquals(CABLE.lossDb(1800, 5), beneath.lossDb(new Spot(1, 0.5)), 1e-12, "what is coiled up counts");
        Cabling elsewhere = cabling(Optional.of(new Spot(5, 1)), 5);
        assertEquals(4 + 0.5 + 2 + 1.5, elsewhere.wantedM(new Spot(1, 0.5)), 1e-12);
        assertEquals(3, elsewhere.extensionM(new Spot(1, 0.5)), 1e-12);
        assertEquals(
                CABLE.lossDb(1800, 8) + Staircase.CONNECTOR_DB,
                elsewhere.lossDb(new Spot(1, 0.5)),
                1e-12,
                "an extension has a pair of connectors");
    }

    @Test
    void what_rises_over_the_antenna_hides_the_horizon() {
        Roof low =
                roof(Shell.STEEL, new Thing(Thing.Kind.AIR_CONDITIONER, "Cooler", new Rect(2, 0.5, 1, 1), 0.04, 0, 0));
        assertEquals(0, at(low, foot(Foot.Fixing.GLUED, 0, 0), 1, 1).shade());
        Roof high =
                roof(Shell.STEEL, new Thing(Thing.Kind.AIR_CONDITIONER, "Cooler", new Rect(2, 0.5, 1, 1), 0.3, 0, 0));
        // the near edge is 1 m away and 1 m wide: 2 · atan(0.5) of 2π
        assertEquals(
                Math.atan(0.5) / Math.PI,
                at(high, foot(Foot.Fixing.GLUED, 0, 0), 1, 1).shade(),
                1e-9);
        assertEquals(
                Math.atan(0.5) / Math.PI,
                at(high, foot(Foot.Fixing.GLUED, 0, 0), 4, 1).shade(),
                1e-9,
                "the same from behind, over the cut of the angles");
    }

    @Test
    void where_nothing_keeps_the_clearance_the_widest_place_is_given_with_its_objection() {
        Search.SearchResult found = new Search(
                        roof(Shell.STEEL, thing(Thing.Kind.PANEL, "Panel 1", 1.2, 0.2, 3.6, 1.6)),
                        foot(Foot.Fixing.GLUED, 2, 0),
                        cabling(Optional.empty(), 5))
                .find();
        Place best = found.places().get(0).place();
        assertEquals(Objection.Why.CLEARANCE, best.objection().orElseThrow().kind());
        assertTrue(
                found.sentence().toString().endsWith("instead of 2.00 m: no other place has more."),
                found.sentence().toString());
        assertFalse(found.strips().isEmpty());
    }

    @Test
    void a_roof_that_is_too_full_says_what_is_in_the_way() {
        Search.SearchResult found = new Search(
                        roof(Shell.STEEL, thing(Thing.Kind.PANEL, "Panel 1", 0.1, 0.1, 5.8, 1.8)),
                        foot(Foot.Fixing.GLUED, 0.5, 0),
                        cabling(Optional.empty(), 5))
                .find();
        assertEquals(List.of(), found.places());
        assertEquals(
                "There is no place for Alder on this roof: Panel 1 is there.",
                found.sentence().toString());
    }

    @ParameterizedTest
    @EnumSource(Foot.Fixing.class)
    void places_are_those_of_trying_all_on_random_roofs(Foot.Fixing fixing) {
        Random random = new Random(fixing.ordinal());
        for (int i = 0; i < 70; i++) {
            Roof roof = random(random);
            Foot foot = new Foot(
                    "Alder",
                    0.1 + random.nextInt(5) * 0.05,
                    0.1 + random.nextInt(5) * 0.05,
                    0.02 + random.nextInt(30) * 0.01,
                    random.nextInt(4) * 0.2,
                    random.nextInt(3) * 0.2,
                    random.nextInt(2) * 0.3,
                    fixing,
                    16 + random.nextInt(30));
            Optional<Spot> entry =
                    random.nextBoolean() ? Optional.empty() : Optional.of(new Spot(random.nextDouble(), 0.5));
            Cabling cabling = new Cabling(
                    new Spot(random.nextDouble() * 3, random.nextDouble()),
                    1,
                    entry,
                    List.of(),
                    1 + random.nextInt(5),
                    0.3,
                    0.2,
                    CABLE,
                    1800);
            Search search = new Search(roof, foot, cabling);
            assertEquals(
                    TryingAll.places(roof, foot, cabling),
                    search.find().places().stream().map(r -> r.place().spot()).toList(),
                    roof + " " + foot + " " + cabling);
        }
    }

    @Test
    void what_is_hidden_of_the_horizon_is_what_rays_meet() {
        Random random = new Random(5);
        for (int i = 0; i < 30; i++) {
            Roof roof = random(random);
            Foot foot = foot(Foot.Fixing.GLUED, 0, 0);
            Spot spot = new Spot(random.nextDouble() * roof.lengthM(), random.nextDouble() * roof.widthM());
            double shade = new Search(roof, foot, cabling(Optional.empty(), 5))
                    .at(spot)
                    .shade();
            assertEquals(rays(roof, foot, spot), shade, 2e-3, roof + " " + spot);
        }
    }

    /** The share of rays from a spot that run into something that rises over it by 5° or more. */
    private static double rays(Roof roof, Foot foot, Spot spot) {
        int rays = 7_200;
        int met = 0;
        for (int i = 0; i < rays; i++) {
            double dx = Math.cos(2 * Math.PI * i / rays);
            double dy = Math.sin(2 * Math.PI * i / rays);
            met += roof.things().stream()
                            .filter(t -> t.kind().isOnRoof()
                                    && t.heightM() - foot.heightM() / 2
                                            > Math.tan(Math.toRadians(5))
                                                    * t.rect().distanceM(spot)
                                    && t.heightM() > foot.heightM() / 2)
                            .anyMatch(t -> meets(t.rect(), spot, dx, dy))
                    ? 1
                    : 0;
        }
        return met / (double) rays;
    }

    private static boolean meets(Rect rect, Spot from, double dx, double dy) {
        double[] x = {(rect.x() - from.x()) / dx, (rect.x() + rect.lengthM() - from.x()) / dx};
        double[] y = {(rect.y() - from.y()) / dy, (rect.y() + rect.widthM() - from.y()) / dy};
        double enters = Math.max(Math.min(x[0], x[1]), Math.min(y[0], y[1]));
        double leaves = Math.min(Math.max(x[0], x[1]), Math.max(y[0], y[1]));
        return leaves >= Math.max(0, enters);
    }

    private static Roof random(Random random) {
        double length = 1 + random.nextInt(60) * 0.05;
        double width = 0.8 + random.nextInt(30) * 0.05;
        List<Thing> things = new ArrayList<>();
        Thing.Kind[] kinds = Thing.Kind.values();
        for (int i = random.nextInt(12); i > 0; i--) {
            things.add(new Thing(
                    kinds[random.nextInt(kinds.length)],
                    "Thing " + i,
                    new Rect(
                            random.nextDouble() * length,
                            random.nextDouble() * width,
                            0.02 + random.nextDouble(),
                            0.02 + random.nextDouble() / 2),
                    random.nextInt(4) * 0.1,
                    random.nextInt(3) * 0.05,
                    0));
        }
        return new Roof(length, width, random.nextInt(3) == 0 ? Shell.GRP : Shell.STEEL, 30, true, 2.8, 4, things);
    }

    @Test
    void things_that_cannot_be_so_are_named() {
        assertEquals(
                List.of("Vent and Panel 1 overlap.", "Box sticks out over the edge of the roof."),
                roof(
                                Shell.STEEL,
                                thing(Thing.Kind.VENT, "Vent", 2, 0.5, 0.5, 0.5),
                                thing(Thing.Kind.PANEL, "Panel 1", 2.4, 0.5, 1, 1),
                                thing(Thing.Kind.AWNING, "Awning", 1, 1.9, 3, 0.3),
                                thing(Thing.Kind.OTHER, "Box", 5.5, 0.2, 1, 0.5),
                                thing(Thing.Kind.WIRING, "Wiring", 0, 0.6, 6, 0.02))
                        .misfits());
    }

    @Test
    void a_magnet_holds_on_steel_alone_and_what_overtops_is_parked_only() {
        assertTrue(Holding.of(roof(Shell.ALUMINIUM), foot(Foot.Fixing.MAGNET, 0, 0))
                .get(0)
                .toString()
                .startsWith("A magnet does not hold on aluminium"));
        assertEquals(List.of(), Holding.of(roof(Shell.STEEL), foot(Foot.Fixing.MAGNET, 0, 0)));
        Foot mast = new Foot("Rowan", 0.3, 0.1, 1.5, 0, 0, 0, Foot.Fixing.GLUED, 0);
        assertEquals(
                "With Rowan the vehicle is 4.36 m high, 0.36 m over its limit of 4.00 m: parked only, laid down or taken off to drive.",
                Holding.of(roof(Shell.STEEL), mast).get(0).toString());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "-1, 1|roof width is −1 m; allowed is 0.5 to 3 m",
                "2, 0.2|thickness is 0.2 mm; allowed is 0.5 to 200 mm"
            })
    void what_is_no_roof_is_refused(String widthAndThickness, String says) {
        String[] values = widthAndThickness.split(", ");
        assertEquals(
                says,
                assertThrows(
                                IllegalArgumentException.class,
                                () -> new Roof(
                                        6,
                                        Double.parseDouble(values[0]),
                                        Shell.STEEL,
                                        Double.parseDouble(values[1]),
                                        false,
                                        2.8,
                                        4,
                                        List.of()))
                        .getMessage());
    }

    @Test
    void a_negative_clearance_is_refused() {
        assertEquals(
                "clearance is −0.1 m; allowed is 0 to 5 m",
                assertThrows(IllegalArgumentException.class, () -> foot(Foot.Fixing.GLUED, -0.1, 0))
                        .getMessage());
    }

    /** ½ · 1.25 kg/m³ · (60 / 3.6 m/s)² · 1.3 · 0.12 m² = 27.1 N, at 2 m 54.2 N·m. */
    @Test
    void the_wind_on_a_panel() {
        Wind wind = new Wind(0.12, 2);
        assertEquals(27.08, wind.forceN(60), 0.005);
        assertEquals(54.17, wind.momentNm(60), 0.005);
        assertEquals(4, wind.forceN(80) / wind.forceN(40), 1e-9);
        assertEquals(55, wind.takeDownAboveKmh(50), "at 57.6 km/h the clamp has what it holds");
    }
}
