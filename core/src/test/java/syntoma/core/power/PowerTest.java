package syntoma.core.power;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static syntoma.core.chain.Changed.with;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Changed;
import syntoma.core.chain.Feed;
import syntoma.core.chain.PowerInput;
import syntoma.core.chain.Rigs;
import syntoma.core.chain.VoltageSystem;
import syntoma.core.sentence.Texts;

class PowerTest {
    private static Wire wire(double mm2) {
        return Wire.sizes().stream().filter(w -> w.mm2() == mm2).findFirst().orElseThrow();
    }

    @Test
    void worked_number_of_the_drop() {
        assertEquals(0.27, wire(1.5).dropV(5, 2, 60), 0.005);
        assertEquals(2 * 5 * 2 * 0.0172 / 1.5, wire(1.5).dropV(5, 2, 20), 1e-12);
    }

    @Test
    void the_fuse_is_the_next_size_and_never_above_the_wire() {
        assertEquals(OptionalDouble.of(3), wire(1.5).fuseA(2));
        assertEquals(OptionalDouble.of(7.5), wire(1.5).fuseA(5.9));
        assertEquals(OptionalDouble.empty(), wire(0.5).fuseA(11));
    }

    @Test
    void the_thinnest_wire_that_holds_both() {
        assertEquals(1.0, Wire.thinnest(5, 2, 60, 0.45).orElseThrow().mm2());
        assertTrue(Wire.thinnest(50, 60, 60, 0.1).isEmpty());
    }

    @Test
    void an_inverter_and_its_adapter_take_their_share() {
        assertEquals(192, Supply.whPerDay(8, 24));
        assertEquals(192 / (0.85 * 0.85), Supply.whPerDayThroughInverter(8, 24), 1e-9);
    }

    private static PowerInput volts(double low, double high) {
        return Rigs.volts(low, high);
    }

    private static PowerInput fedBy(Feed... feeds) {
        return with(PowerInput.UNKNOWN, "feeds", Set.of(feeds));
    }

    @ParameterizedTest
    @CsvSource({
        // low, high, battery, way, out
        "9, 30, 12.8, DIRECT, ",
        "11, 14.8, 12, DIRECT, ",
        "10, 14.5, 12, STABILISER, 12",
        "11.4, 12.6, 12.8, STABILISER, 12",
        "12, 24, 12, STABILISER, 12",
        "12.5, 13.5, 12, STABILISER, 13",
        "8.5, 9.5, 12, STEP_DOWN, 9",
        "4.8, 5.2, 12, USB, ",
        "18, 20, 12, STEP_UP, 19",
        "44, 57, 12, STEP_UP, 48",
        "9, 30, 25.6, DIRECT, ",
        "9, 28, 24, STABILISER, 24",
        "9, 16, 24, STEP_DOWN, 12",
        "36, 60, 24, STEP_UP, 48",
        "36, 60, 48, DIRECT, ",
        "9, 30, 51.2, STEP_DOWN, 12",
        "9, 14.7, 12, STABILISER, 12"
    })
    void the_remedy_fits_the_case(double low, double high, double battery, Supply.Way way, Double out) {
        Supply supply = Supply.of(volts(low, high), VoltageSystem.of(battery));
        assertEquals(way, supply.way());
        assertEquals(out == null ? OptionalDouble.empty() : OptionalDouble.of(out), supply.outV());
    }

    @Test
    void one_end_of_a_range_claims_no_more_than_it_says() {
        PowerInput low = with(PowerInput.UNKNOWN, "lowV", OptionalDouble.of(12));
        assertEquals(Supply.Way.CONVERTER, Supply.of(low, VoltageSystem.V12).way());
        PowerInput wide = with(PowerInput.UNKNOWN, "lowV", OptionalDouble.of(9));
        assertEquals(Supply.Way.UNKNOWN, Supply.of(wide, VoltageSystem.V12).way());
        PowerInput high = with(PowerInput.UNKNOWN, "highV", OptionalDouble.of(12.6));
        assertEquals(Supply.Way.CONVERTER, Supply.of(high, VoltageSystem.V12).way());
        assertEquals(
                Supply.Way.UNKNOWN,
                Supply.of(PowerInput.UNKNOWN, VoltageSystem.V12).way());
    }

    @Test
    void a_feed_that_is_no_matter_of_volts_is_named() {
        assertEquals(
                Supply.Way.POE, Supply.of(fedBy(Feed.POE_AT), VoltageSystem.V24).way());
        assertEquals(
                Supply.Way.POE_PASSIVE,
                Supply.of(fedBy(Feed.POE_PASSIVE), VoltageSystem.V12).way());
        assertEquals(
                Supply.Way.USB, Supply.of(fedBy(Feed.USB), VoltageSystem.V12).way());
        assertEquals(
                Supply.Way.USB_PD,
                Supply.of(fedBy(Feed.USB_PD), VoltageSystem.V12).way());
        assertEquals(
                Supply.Way.INVERTER,
                Supply.of(fedBy(Feed.MAINS), VoltageSystem.V12).way());
        assertEquals(
                Supply.Way.UNKNOWN, Supply.of(fedBy(Feed.DC), VoltageSystem.V12).way());
    }

    @Test
    void the_system_follows_from_the_battery() {
        assertEquals(VoltageSystem.V12, VoltageSystem.of(13.2));
        assertEquals(VoltageSystem.V24, VoltageSystem.of(25.6));
        assertEquals(VoltageSystem.V48, VoltageSystem.of(36));
    }

    @Test
    void no_gauge_is_thinner_than_its_wire() {
        for (Wire wire : Wire.sizes()) {
            // ASTM B258: 0.127 mm × 92^((36 − n)/39), squared
            double mm = 0.127 * Math.pow(92, (36 - wire.awg()) / 39.0);
            assertTrue(Math.PI / 4 * mm * mm >= wire.mm2(), "AWG " + wire.awg() + " for " + wire.mm2());
        }
    }

    private static Chain fed(PowerInput power) {
        return Rigs.chain(Changed.power(Rigs.router(2), power));
    }

    private static PowerInput drawing(double watts, double peak) {
        return with(with(volts(9, 30), "drawW", OptionalDouble.of(watts)), "peakW", OptionalDouble.of(peak));
    }

    @Test
    void the_budget_of_a_part_follows_from_its_draw() {
        Chain chain = fed(drawing(24, 36));
        PowerBudget budget = PowerBudget.of(chain, 10).get(0);
        assertEquals(240, budget.whPerDay().orElseThrow(), 1e-9);
        assertEquals(240 / 0.7225, budget.whPerDayThroughInverter().orElseThrow(), 1e-9);
        assertEquals(
                240 / (chain.vehicle().batteryAh() * chain.vehicle().batteryV()),
                budget.batteryShare().orElseThrow(),
                1e-9);
        // 36 W at 11.0 V are 3.27 A; 1.25 times that is 4.09 A, so the next size is 5 A
        assertEquals(36 / 11.0, budget.run().amps().orElseThrow(), 1e-9);
        assertEquals(5, budget.run().fuseA().orElseThrow());
        assertTrue(budget.run().dropV().orElseThrow() <= 0.03 * 12);
        assertEquals(240, PowerBudget.sum(List.of(budget)).orElseThrow(), 1e-9);
    }

    @Test
    void without_a_stated_peak_the_usual_draw_counts_and_a_higher_system_halves_the_current() {
        PowerInput usual = with(volts(9, 60), "drawW", OptionalDouble.of(22));
        assertEquals(2, PowerBudget.of(fed(usual), 10).get(0).run().amps().orElseThrow(), 1e-9);
        assertEquals(
                1,
                PowerBudget.of(Rigs.onBattery(fed(usual), 24), 10)
                        .get(0)
                        .run()
                        .amps()
                        .orElseThrow(),
                1e-9);
    }

    @Test
    void what_runs_on_mains_only_has_no_wire_of_its_own() {
        Chain chain = fed(with(drawing(24, 36), "isMainsOnly", true));
        PowerBudget budget = PowerBudget.of(chain, 10).get(0);
        assertTrue(budget.whPerDay().isEmpty());
        assertEquals(240 / 0.7225, budget.takenWhPerDay().orElseThrow(), 1e-9);
        assertTrue(budget.run().amps().isEmpty()
                && budget.run().wire().isEmpty()
                && budget.run().fuseA().isEmpty());
    }

    @Test
    void a_draw_that_is_not_stated_leaves_all_open() {
        PowerBudget budget = PowerBudget.of(fed(PowerInput.UNKNOWN), 10).get(0);
        assertTrue(budget.run().amps().isEmpty()
                && budget.run().fuseA().isEmpty()
                && budget.run().dropV().isEmpty());
        assertTrue(PowerBudget.sum(List.of(budget)).isEmpty());
        assertTrue(PowerBudget.sum(List.of()).isEmpty());
    }

    @Test
    void a_wire_that_is_there_is_held_against_the_draw() {
        PowerInput input = with(volts(9, 60), "drawW", OptionalDouble.of(22));
        PowerRun run = PowerRun.of(input, VoltageSystem.V12, 5);
        assertEquals(2, run.amps().orElseThrow(), 1e-9);
        // the worked wire of section 15: 5 m, 2 A, 1.5 mm², 60 °C lose 0.27 V
        assertEquals(
                List.of("1.5 mm² loses 0.27 V on the way.", "Fuse it at 3 A, at the battery."),
                Texts.of(run.compare(1.5)));
        assertTrue(
                run.compare(0.5).get(0).toString().contains("more than 3 %: take 1.5 mm²."),
                run.compare(0.5).toString());
        assertEquals(
                List.of(), PowerRun.of(PowerInput.UNKNOWN, VoltageSystem.V12, 5).compare(1.5));
        assertThrows(IllegalArgumentException.class, () -> run.compare(3));
    }
}
