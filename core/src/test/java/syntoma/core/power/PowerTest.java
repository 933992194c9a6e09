package syntoma.core.power;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

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

    @Test
    void an_input_must_take_all_that_the_vehicle_gives() {
        assertTrue(Supply.covers(OptionalDouble.of(9), OptionalDouble.of(30)));
        assertFalse(Supply.covers(OptionalDouble.of(11.4), OptionalDouble.of(12.6)));
        assertFalse(Supply.covers(OptionalDouble.empty(), OptionalDouble.of(30)));
    }
}
