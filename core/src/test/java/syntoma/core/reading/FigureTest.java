package syntoma.core.reading;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FigureTest {
    /** Stored rows, exports and users' scripts rely on these. */
    @Test
    void columns_and_fields_are_those_of_the_contract() {
        String columns = "taken_at, campsite, lat, lon, setup, carrier, rat, band, arfcn, cell_id, rssi_dbm, rsrp_dbm,"
                + " rsrq_db, sinr_db, down_mbps, up_mbps, idle_ms, down_loaded_ms, up_loaded_ms, jitter_ms, loss_pct,"
                + " server, outcome, trial, round, note";
        assertEquals(
                List.of(columns.split(", ")),
                List.of(Figure.values()).stream().map(Figure::label).toList());
        assertEquals("downLoadedMs", Figure.DOWN_LOADED_MS.field());
        assertEquals(Optional.of(Figure.CELL_ID), Figure.fromLabel(" Cell_ID "));
        assertEquals(Optional.empty(), Figure.fromLabel("bars"));
    }

    @Test
    void each_number_has_a_slot_of_its_own() {
        List<Integer> slots =
                Figure.numbers().stream().map(f -> f.measure().slot()).toList();
        assertEquals(slots.size(), new HashSet<>(slots).size());
        assertEquals(0, Figure.RSSI_DBM.measure().slot());
        assertEquals(10, Figure.LOSS_PCT.measure().slot());
    }

    @ParameterizedTest
    @CsvSource({
        "down, DOWN_MBPS, ratio, true",
        "up, UP_MBPS, ratio, true",
        "idle, IDLE_MS, ratio, false",
        "downLoaded, DOWN_LOADED_MS, ratio, false",
        "upLoaded, UP_LOADED_MS, ratio, false",
        "jitter, JITTER_MS, ratio, false",
        "loss, LOSS_PCT, share, false",
        "rsrp, RSRP_DBM, dB, true",
        "rsrq, RSRQ_DB, dB, true",
        "sinr, SINR_DB, dB, true"
    })
    void metrics_are_named_and_compared(String key, Figure figure, String scale, boolean higherIsBetter) {
        assertEquals(figure, Figure.metric(key));
        assertEquals(scale, figure.scale().key());
        assertEquals(higherIsBetter, figure.comparing().isHigherBetter());
    }

    @Test
    void what_is_no_metric_is_refused_with_those_that_are() {
        String message = assertThrows(IllegalArgumentException.class, () -> Figure.metric("UP"))
                .getMessage();
        assertEquals(
                "metric is “UP”; allowed is rsrp, rsrq, sinr, down, up, idle, downLoaded, upLoaded, jitter, loss",
                message);
        assertThrows(IllegalArgumentException.class, () -> Figure.metric("rssi"));
        assertThrows(IllegalStateException.class, Figure.RSSI_DBM::scale);
        assertThrows(IllegalStateException.class, Figure.NOTE::measure);
    }

    @Test
    void a_doubling_weighs_as_much_as_a_halving() {
        Scale speed = Figure.UP_MBPS.scale();
        assertEquals(speed.on(8) - speed.on(4), speed.on(4) - speed.on(2), 1e-12);
        assertEquals(2, speed.off(speed.on(8) - speed.on(4)), 1e-12);
        assertEquals(Math.log(1.2), speed.margin(), 1e-12);
        assertEquals("×1.83", speed.format(1.832));
        assertEquals("×14", speed.format(14.2));
        assertEquals("×1.57 to ×2.14", speed.format(1.57, 2.14));
    }

    @Test
    void levels_differ_in_decibels_and_shares_in_points() {
        Scale level = Figure.RSRP_DBM.scale();
        assertEquals(6, level.on(-90) - level.on(-96), 1e-12);
        assertEquals("−2.4 dB", level.format(-2.4));
        assertEquals("1.2 to 3.4 dB", level.format(1.2, 3.4));
        Scale loss = Figure.LOSS_PCT.scale();
        assertEquals(-2.5, loss.off(loss.on(0) - loss.on(2.5)), 1e-12);
        assertEquals("−2.5 points", loss.format(-2.5));
        assertEquals("−3.1 to −1.9 points", loss.format(-3.1, -1.9));
    }

    @Test
    void no_jitter_at_all_is_as_little_as_can_be_told() {
        Scale jitter = Figure.JITTER_MS.scale();
        assertTrue(Double.isFinite(jitter.on(0)));
        assertEquals(jitter.on(0.1), jitter.on(0));
        assertTrue(jitter.on(0.2) > jitter.on(0));
    }
}
