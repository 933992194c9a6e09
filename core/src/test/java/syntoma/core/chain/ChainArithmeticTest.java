package syntoma.core.chain;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import syntoma.core.band.Bands;
import syntoma.core.band.Coverage;
import syntoma.core.band.LinkShare;
import syntoma.core.band.Reach;
import syntoma.core.band.Span;
import syntoma.core.booster.UsableGain;
import syntoma.core.propagation.FreeSpace;
import syntoma.core.propagation.HeightGain;

/** Worked numbers of the staircase and of coverage. */
class ChainArithmeticTest {
    private static Staircase stairs(Chain chain, double mhz) {
        return Staircase.of(chain, Wiring.of(chain).of(Use.CELLULAR).stream().findFirst(), mhz);
    }

    @ParameterizedTest
    @CsvSource({"100-class, 75.0, 128.0", "RG-58, 47.0, 87.0", "195-class, 36.5, 62.4", "240-class, 24.8, 42.4"})
    void a_class_passes_through_its_two_datasheet_points(String name, double at900, double at2500) {
        CableClass cable = CableClass.of(name);
        assertEquals(at900, cable.lossDb(900, 100), 1e-9);
        assertEquals(at2500, cable.lossDb(2500, 100), 1e-9);
    }

    @Test
    void between_and_beyond_the_points_loss_follows_root_and_line() {
        assertEquals(35.6, CableClass.of("240-class").lossDb(1800, 100), 0.05);
        assertEquals(12.8, CableClass.of("400-class").lossDb(900, 100), 1e-9);
        assertTrue(assertThrows(IllegalArgumentException.class, () -> CableClass.of("500-class"))
                .getMessage()
                .contains("400-class"));
    }

    @Test
    void free_space_over_3_m_at_800_mhz() {
        assertEquals(40.05, FreeSpace.lossDb(0.003, 800), 0.005);
        assertThrows(IllegalArgumentException.class, () -> FreeSpace.lossDb(0, 800));
    }

    @Test
    void height_counts_by_the_ratio_over_ground() {
        // 20 log10(6.86 / 2.86)
        assertEquals(7.600, HeightGain.db(2.86, 6.86), 1e-3);
        assertEquals(12, HeightGain.db(2, 40), 0, "never more");
        assertEquals(0, HeightGain.db(3, 3), 1e-12);
        assertThrows(IllegalArgumentException.class, () -> HeightGain.db(0, 3));
    }

    @Test
    void a_booster_holds_no_more_than_its_isolation_less_ten() {
        UsableGain gain = new UsableGain(3, 12, 0, 0);
        assertEquals(52.05, gain.isolationDb(800), 0.005);
        assertEquals(42.05, gain.db(65, 800), 0.005);
        assertEquals(30, gain.db(30, 800), 1e-9);
    }

    @ParameterizedTest
    @CsvSource({
        "STEEL,800,INSIDE,12",
        "STEEL,1800,INSIDE,15",
        "STEEL,3500,WINDOW,12",
        "GRP,800,WINDOW,0",
        "ALUMINIUM,2600,INSIDE,22",
        "STEEL,800,ROOF,0"
    })
    void the_shell_by_material_band_and_place(Shell shell, double mhz, Placement placement, double db) {
        assertEquals(db, shell.lossDb(mhz, placement));
    }

    @Test
    void gain_is_linear_between_its_points_and_none_outside() {
        Antenna antenna = Rigs.antenna("Rowan", List.of(Rigs.range(700, 900, 6, 8)), Rigs.lead("1", "SMA-male"));
        assertEquals(7, antenna.gainDbi(antenna.leads().get(0), 800).getAsDouble(), 1e-9);
        assertTrue(antenna.gainDbi(antenna.leads().get(0), 1000).isEmpty());
    }

    @Test
    void a_staircase_sums_its_steps_and_takes_the_shell_as_baseline() {
        Antenna antenna = Rigs.antenna("Rowan", List.of(Rigs.range(700, 960, 8.5, 8.5)), Rigs.lead("1", "SMA-male", 3));
        Cable extension =
                new Cable("ext", CableClass.of("240-class"), 4.5, Connector.of("SMA-female"), Connector.of("SMA-male"));
        Chain chain = Rigs.chain(Rigs.router(2), Rigs.run(antenna, List.of(extension), Placement.ROOF, 0));
        Staircase stairs = stairs(chain, 806);
        double cable = CableClass.of("240-class").lossDb(806, 7.5);
        assertEquals(8.5 - cable - 0.30, stairs.netDb().getAsDouble(), 1e-9);
        assertEquals(stairs.netDb().getAsDouble() + 12, stairs.deltaDb().getAsDouble(), 1e-9);
        // shell 4, own antenna 3, stated gain 2, half of two pairs of connectors
        assertEquals(Math.sqrt(16 + 9 + 4 + 0.15 * 0.15), stairs.halfWidthDb(), 1e-9);
        double sum = stairs.fromInside().stream()
                .mapToDouble(s -> s.db().getAsDouble())
                .sum();
        assertEquals(stairs.deltaDb().getAsDouble(), sum, 1e-9, "the drawing ends where the sentence ends");
        assertEquals(
                List.of(false, false, false, true),
                stairs.steps().stream().map(Staircase.Step::isEstimated).toList());
    }

    @Test
    void a_gain_that_no_sheet_states_leaves_the_net_open() {
        Antenna antenna = Rigs.antenna("Rowan", List.of(), Rigs.lead("1", "SMA-male"));
        Chain chain = Rigs.chain(Rigs.router(2), Rigs.onRoof(antenna));
        Staircase stairs = stairs(chain, 806);
        assertTrue(stairs.netDb().isEmpty() && stairs.deltaDb().isEmpty());
    }

    @Test
    void a_device_at_a_window_gains_six() {
        Chain chain = Rigs.withPlacement(Rigs.chain(Rigs.router(2)), Placement.WINDOW);
        assertEquals(6, stairs(chain, 806).deltaDb().getAsDouble(), 1e-9);
    }

    @Test
    void the_shell_that_both_are_behind_is_no_doubt() {
        Chain inside = Rigs.chain(Rigs.router(2));
        Staircase stairs = stairs(inside, 806);
        assertEquals(0, stairs.deltaDb().getAsDouble(), 1e-9);
        assertEquals(0, stairs.halfWidthDb(), 1e-9);
        assertTrue(stairs.steps().get(0).isEstimated());
    }

    @Test
    void the_best_cable_is_the_cheapest_within_a_decibel() {
        List<CableChoice> choices = CableChoice.over(5, 1800);
        CableChoice best =
                choices.stream().filter(CableChoice::isBest).findFirst().orElseThrow();
        assertEquals("240-class", best.cableClass().name());
        assertEquals(OptionalDouble.empty(), choices.get(0).perDbSaved());
        CableChoice before = choices.get(choices.indexOf(best) - 1);
        assertEquals("200-class", before.cableClass().name());
        double saved = before.lossDb() - best.lossDb();
        assertEquals((2.8 - 2.3) * 5 / saved, best.perDbSaved().getAsDouble(), 1e-9);
        assertTrue(choices.stream().allMatch(c -> c.cableClass().ohms() == 50));
    }

    @Test
    void ninety_percent_of_a_span_is_enough_and_each_way_counts_alone() {
        var b7 = Bands.of("B7");
        LinkShare late = LinkShare.of("Bittern", b7, List.of(new Span(2620, 2690)), List.of(new Span(2510, 2570)));
        Coverage coverage = Coverage.of(b7, List.of(LinkShare.both("Curlew", 1), late));
        assertEquals(Coverage.Result.DOWNLINK_ONLY, coverage.result());
        assertEquals("Bittern", coverage.limitedBy().orElseThrow());
        assertTrue(coverage.sentence().contains("86 %"), coverage.sentence());
        LinkShare nearly = LinkShare.of("Alder", b7, List.of(new Span(2500, 2700)), List.of(new Span(2507, 2570)));
        assertEquals(Coverage.Result.WORKS, Coverage.of(b7, List.of(nearly)).result());
    }

    @Test
    void a_booster_without_tdd_covers_no_tdd_band_whatever_its_range() {
        Booster booster = Rigs.booster(List.of(new Span(3000, 4000)), List.of(new Span(3000, 4000)));
        Coverage coverage = Coverage.of(Bands.of("n78"), List.of(booster.share(Bands.of("n78"))));
        assertEquals(Coverage.Result.NOT_COVERED, coverage.result());
        assertEquals("not through Bittern: it does not follow TDD", coverage.sentence());
    }

    @Test
    void what_no_sheet_says_is_unknown_unless_another_link_closes_it() {
        var b20 = Bands.of("B20");
        assertEquals(
                Coverage.Result.UNKNOWN,
                Coverage.of(b20, List.of(LinkShare.unknown("Rowan"))).result());
        assertEquals(
                Coverage.Result.NOT_COVERED,
                Coverage.of(b20, List.of(LinkShare.unknown("Rowan"), LinkShare.both("Plover", 0)))
                        .result());
        assertEquals(
                "With Bittern on Tarnwave: one of two bands works in both directions; one unknown, because a sheet does not say.",
                new Reach(
                                "Tarnwave",
                                List.of(
                                        Coverage.of(b20, List.of(LinkShare.both("x", 1))),
                                        Coverage.of(b20, List.of(LinkShare.unknown("x")))))
                        .sentence("Bittern"));
    }

    @Test
    void connectors_know_what_goes_together_and_what_only_seems_to() {
        Connector sma = Connector.of("SMA-female");
        assertTrue(Connector.of("sma-MALE").mates(sma));
        assertFalse(Connector.of("RP-SMA-male").mates(sma));
        assertTrue(Connector.of("RP-SMA-male").seemsToMate(sma));
        assertTrue(assertThrows(IllegalArgumentException.class, () -> Connector.of("XYZ-male"))
                .getMessage()
                .contains("TS9"));
        assertThrows(IllegalArgumentException.class, () -> Connector.of("SMA"));
    }

    @Test
    void leads_go_to_ports_of_their_use_with_few_adapters_and_the_main_port_first() {
        Device device = Rigs.device(
                "Curlew",
                4,
                new Port("A", Use.CELLULAR, Connector.of("SMA-female"), false),
                new Port("B", Use.CELLULAR, Connector.of("SMA-female"), true),
                new Port("C", Use.CELLULAR, Connector.of("TS9-female"), false),
                new Port("W", Use.WIFI, Connector.of("RP-SMA-female"), false));
        Antenna antenna = Rigs.antenna(
                "Alder",
                List.of(Rigs.range(700, 2700, 3, 3)),
                Rigs.lead("1", "SMA-male"),
                Rigs.lead("2", "SMA-male"),
                Rigs.lead("g", Use.GNSS, "SMA-male"),
                Rigs.lead("w", Use.WIFI, "RP-SMA-male"));
        Wiring wiring = Wiring.of(Rigs.chain(device, Rigs.onRoof(antenna)));
        assertEquals(
                List.of("A", "B"),
                wiring.of(Use.CELLULAR).stream()
                        .map(c -> c.port().label())
                        .sorted()
                        .toList());
        assertEquals(1, wiring.of(Use.WIFI).size());
        assertEquals(
                List.of("Alder g"),
                wiring.leadsOver().stream().map(l -> l.label()).toList());
        Antenna single = Rigs.antenna("Sorrel", List.of(Rigs.range(700, 2700, 3, 3)), Rigs.lead("1", "SMA-male"));
        assertEquals(
                "B",
                Wiring.of(Rigs.chain(device, Rigs.onRoof(single)))
                        .connections()
                        .get(0)
                        .port()
                        .label());
    }

    @Test
    void the_same_part_twice_is_a_circle() {
        AntennaRun run = Rigs.onRoof(Rigs.antenna("Alder", List.of(), Rigs.lead("1", "SMA-male")));
        assertTrue(assertThrows(IllegalArgumentException.class, () -> Rigs.chain(Rigs.router(2), run, run))
                .getMessage()
                .contains("circle"));
    }

    @Test
    void impossible_figures_are_refused_with_the_range() {
        assertTrue(assertThrows(IllegalArgumentException.class, () -> Rigs.range(700, 900, -300, 2))
                .getMessage()
                .contains("−20 to 40 dBi"));
        assertThrows(IllegalArgumentException.class, () -> Rigs.range(900, 700, 2, 2));
    }
}
