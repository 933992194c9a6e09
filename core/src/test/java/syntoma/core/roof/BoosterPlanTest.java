package syntoma.core.roof;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;
import syntoma.core.booster.BoosterPlacing;
import syntoma.core.booster.UsableGain;
import syntoma.core.chain.Shell;

class BoosterPlanTest {
    private static final List<Band> BANDS = List.of(Bands.of("B20"), Bands.of("B3"));

    /** 3 m, facing through 12 dB of steel with 7 and 2 dBi at 800 MHz: 40.05 + 12 − 7 − 2 = 43.05 dB of isolation. */
    private static BoosterPlacing placing(double separationM, double ratedDb) {
        return new BoosterPlacing(
                new UsableGain(separationM, 12, 7, 2), ratedDb, OptionalDouble.empty(), 7, 2, 800, 10);
    }

    @Test
    void the_worked_figures_of_one_band() {
        BoosterPlacing placing = placing(3, 50);
        assertEquals(43.05, placing.isolationDb(), 0.01);
        assertEquals(33.05, placing.stableGainDb(), 0.01);
        assertEquals(33.05, placing.usableGainDb(), 0.01);
        // −95 + 7 + 33.05 + 2 = −52.95 dBm; less the 36.53 dB of 2 m
        assertEquals(-52.95, placing.radiatedDbm(-95), 0.01);
        assertEquals(2, placing.radiusM(-95, -89.48), 0.01);
        assertEquals(6.71, placing.radiusM(-95, -100), 0.02);
        // 16.95 dB more are 7.04 times as far
        assertEquals(21.1, placing.fullGainAtM(), 0.05);
        assertEquals(18.1, placing.shortM(), 0.05);
        assertEquals(30, placing(3, 30).usableGainDb());
        assertEquals(0, placing(3, 30).shortM());
    }

    @Test
    void the_output_is_no_more_than_is_rated_and_the_radius_no_more_than_a_vehicle() {
        BoosterPlacing rated =
                new BoosterPlacing(new UsableGain(3, 12, 7, 2), 50, OptionalDouble.of(-20), 7, 2, 800, 10);
        // −20 dBm over 600 subcarriers are −47.8 dBm each
        assertEquals(-20 - 10 * Math.log10(600) + 2, rated.radiatedDbm(-60), 1e-9);
        assertEquals(10, placing(3, 30).radiusM(-60, -100), "no vehicle is longer");
        assertEquals(0, placing(0.3, 50).radiusM(-140, -60), "nowhere");
    }

    private static BoosterPlan plan(double indoorX, boolean facing, double rsrp) {
        return new BoosterPlan(
                Shell.STEEL,
                9,
                new BoosterPlan.Point(1, 0.8, 0.2, 7),
                new BoosterPlan.Point(indoorX, 0.8, 0.4, 2),
                facing,
                new BoosterPlan.BoosterRating("Bittern", 40, OptionalDouble.of(10)),
                rsrp,
                OptionalDouble.of(3),
                -100);
    }

    @Test
    void says_how_far_to_move_for_all_of_the_gain_by_the_band_that_wants_most() {
        BoosterPlan near = plan(2, true, -95);
        assertEquals(Math.hypot(1, 0.6), near.separationM(), 1e-12);
        String said = near.sentence(BANDS).toString();
        assertTrue(said.startsWith("On B20 25 of 40 dB are stable: move the indoor antenna "), said);
        assertTrue(said.contains(" m aft, or turn the antennas back to back,"), said);
        double full = near.on(BANDS).get(0).placing().fullGainAtM();
        double along = Math.sqrt(full * full - 0.6 * 0.6);
        assertEquals(
                0, plan(1 + along + 0.001, true, -95).on(BANDS).get(0).placing().shortM());
        assertTrue(
                plan(3.5, false, -95).sentence(BANDS).toString().startsWith("The two antennas are far enough apart"));
    }

    @Test
    void what_no_vehicle_is_long_enough_for_is_said_so() {
        BoosterPlan strong = new BoosterPlan(
                Shell.STEEL,
                4,
                new BoosterPlan.Point(1, 0.8, 0.2, 7),
                new BoosterPlan.Point(2, 0.8, 0.4, 2),
                true,
                new BoosterPlan.BoosterRating("Bittern", 65, OptionalDouble.empty()),
                -95,
                OptionalDouble.empty(),
                -100);
        assertEquals(
                "On B20 25 of 65 dB are stable: turn the antennas back to back; apart they cannot be enough in this vehicle; "
                        + "else set the gain lower.",
                strong.sentence(BANDS).toString());
    }

    @Test
    void where_nothing_comes_in_nothing_goes_out() {
        String said = plan(2, true, -126).sentence(BANDS).toString();
        assertEquals(
                "There is nothing to boost: with −126 dBm and 3 dB SINR at the antenna outside no booster helps.",
                said);
        assertEquals(0, plan(2, true, -126).on(BANDS).get(0).radiusM());
    }

    @Test
    void what_it_reports_is_compared_with_what_is_calculated() {
        BoosterPlan plan = plan(2, true, -95);
        List<String> said = plan.compare(BANDS, Map.of("B20", 40.0, "B3", 34.0), true);
        assertEquals(2, said.size(), said.toString());
        assertTrue(said.get(0).startsWith("Its warning light is on"));
        assertTrue(said.get(1).startsWith("On B20 it reports 40 dB, about 15 dB more"), said.toString());
    }
}
