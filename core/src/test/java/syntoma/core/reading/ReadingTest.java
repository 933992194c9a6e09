package syntoma.core.reading;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ReadingTest {
    @ParameterizedTest
    @CsvSource({
        "RSRP, LTE, -140, -44",
        "RSRP, NR_SA, -156, -31",
        "RSRQ, LTE, -34, 2.5",
        "RSRQ, NR_NSA, -43, 20",
        "SINR, LTE, -23, 40",
        "RSSI, LTE, -120, 0"
    })
    void ranges_hold_to_their_ends_and_no_further(RadioMetric metric, Rat rat, double low, double high) {
        assertEquals(low, metric.check(low, Optional.of(rat)));
        assertEquals(high, metric.check(high, Optional.of(rat)));
        assertThrows(IllegalArgumentException.class, () -> metric.check(low - 0.1, Optional.of(rat)));
        assertThrows(IllegalArgumentException.class, () -> metric.check(high + 0.1, Optional.of(rat)));
        assertThrows(IllegalArgumentException.class, () -> metric.check(Double.NaN, Optional.of(rat)));
    }

    @Test
    void a_refused_value_is_named_with_its_range() {
        var error =
                assertThrows(IllegalArgumentException.class, () -> RadioMetric.RSRP.check(20, Optional.of(Rat.LTE)));
        assertEquals("RSRP is 20 dBm; allowed is −140 to −44 dBm", error.getMessage());
    }

    @ParameterizedTest
    @CsvSource({
        "RSRP, -80, strong", "RSRP, -80.1, good", "RSRP, -95, good", "RSRP, -105, fair", "RSRP, -118, weak",
        "RSRP, -118.5, none", "RSRQ, -9, strong", "RSRQ, -12, good", "RSRQ, -15, fair", "RSRQ, -18, weak",
        "RSRQ, -19, none", "SINR, 20, strong", "SINR, 13, good", "SINR, 5, fair", "SINR, -3, weak",
        "SINR, -4, none"
    })
    void grades_begin_at_their_floors(RadioMetric metric, double value, String word) {
        assertEquals(word, metric.grade(value).word());
    }

    @Test
    void rsrq_follows_from_rsrp_and_rssi() {
        // An empty own cell: two of twelve resource elements carry reference signals, −10 log10(2) = −3.0 dB.
        double rssiOfAnEmptyCell = -90 + 10 * Math.log10(50 * 2);
        assertEquals(-3.0, Consistency.rsrqDb(-90, rssiOfAnEmptyCell, 50), 0.02);
        double rssiOfAFullCell = -90 + 10 * Math.log10(50 * 12);
        assertEquals(-10.8, Consistency.rsrqDb(-90, rssiOfAFullCell, 50), 0.02);
        assertThrows(IllegalArgumentException.class, () -> Consistency.rsrqDb(-90, -60, 101));
    }

    @Test
    void readings_that_do_not_go_together_are_remarked_on() {
        assertTrue(remarks(-90, -80, -9).get(0).contains("swapped"));
        assertTrue(remarks(-60, -90, -2).get(0).contains("does not follow"));
        assertTrue(remarks(-62, -90, -14).get(0).contains("below −11 dB"));
        assertEquals(List.of(), remarks(-62, -90, -9));
        assertEquals(
                List.of(), Consistency.remarks(OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty()));
    }

    private static List<String> remarks(double rssi, double rsrp, double rsrq) {
        return Consistency.remarks(OptionalDouble.of(rssi), OptionalDouble.of(rsrp), OptionalDouble.of(rsrq));
    }

    @Test
    void the_ceiling_at_12_db_on_20_mhz_with_two_layers_is_97_8() {
        assertEquals(97.8, Ceiling.DOWN.mbps(20, 2, 12), 0.05);
        assertEquals(20 * 2 * 4.4, Ceiling.DOWN.mbps(20, 2, 40), 1e-9);
        assertEquals(20 * 2.0, Ceiling.UP.mbps(20, 1, 40), 1e-9);
        assertEquals(0, Ceiling.UP.mbps(20, 1, -10.1));
    }

    @Test
    void a_run_of_nothing_is_a_failed_run() {
        assertTrue(refused(Figure.UP_MBPS, 0, true).contains("failed run"));
        Figure.UP_MBPS.measure().check(0, Optional.empty(), false);
        Figure.UP_MBPS.measure().check(0.1, Optional.empty(), true);
        assertEquals("loss is 101 %; allowed is 0 to 100 %", refused(Figure.LOSS_PCT, 101, true));
        assertEquals("idle latency is 0 ms; allowed is 0.01 to 600000 ms", refused(Figure.IDLE_MS, 0, true));
    }

    private static String refused(Figure figure, double value, boolean ok) {
        return assertThrows(
                        IllegalArgumentException.class, () -> figure.measure().check(value, Optional.empty(), ok))
                .getMessage();
    }

    @Test
    void a_channel_and_a_band_must_agree() {
        assertEquals(List.of(), Placing.problems(Optional.of(Rat.LTE), "B3", OptionalInt.of(1300)));
        assertEquals(List.of(), Placing.problems(Optional.of(Rat.NR_SA), "n78", OptionalInt.of(640000)));
        assertEquals(List.of(), Placing.problems(Optional.of(Rat.UMTS), "900", OptionalInt.of(2950)));
        assertEquals(
                "channel 1300 is in B3, not B20",
                Placing.problems(Optional.of(Rat.LTE), "B20", OptionalInt.of(1300))
                        .get(0)
                        .message());
        assertEquals(
                "band",
                Placing.problems(Optional.empty(), "B15", OptionalInt.empty())
                        .get(0)
                        .field());
        assertEquals(
                "arfcn",
                Placing.problems(Optional.of(Rat.LTE), "", OptionalInt.of(7400))
                        .get(0)
                        .field());
        assertEquals("B20", Placing.name(Optional.of(Rat.LTE), "b20"));
    }

    @Test
    void a_technology_is_read_by_its_label() {
        assertEquals(Rat.NR_NSA, Rat.fromLabel("nr-nsa"));
        assertTrue(assertThrows(IllegalArgumentException.class, () -> Rat.fromLabel("6G"))
                .getMessage()
                .contains("“6G”"));
    }
}
