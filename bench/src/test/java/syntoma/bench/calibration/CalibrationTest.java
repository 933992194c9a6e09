package syntoma.bench.calibration;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;

/** A small run of what {@code ./syntoma calibrate} makes large; the limits allow for three standard errors of 200 trials. */
class CalibrationTest {
    private static final int TRIALS = 200;

    private final Calibration calibration = new Calibration(7);

    @Test
    void a_difference_is_rarely_claimed_where_there_is_none() {
        Tally tally = calibration.simulate(Case.equal(8), TRIALS);
        assertEquals(TRIALS, tally.trials());
        assertTrue(tally.wrong() <= 0.05 + 3 * 0.0154, "wrong in " + tally.wrong());
        assertEquals(tally.claimed(), tally.wrong());
        assertTrue(tally.heldAtAll() >= 0.95 - 3 * 0.0154, "held in " + tally.heldAtAll());
    }

    @Test
    void so_it_is_with_the_spread_of_past_trials() {
        Tally tally = calibration.simulate(Case.equal(8).withBorrowed(), TRIALS);
        assertTrue(tally.wrong() <= 0.05 + 3 * 0.0154, "wrong in " + tally.wrong());
    }

    @Test
    void a_true_doubling_is_seen_in_six_rounds_and_sooner_with_the_spread_of_past_trials() {
        Tally alone = calibration.simulate(Case.truly(2, 6), TRIALS);
        Tally borrowed = calibration.simulate(Case.truly(2, 6).withBorrowed(), TRIALS);
        assertTrue(alone.claimed() >= 0.8, "seen in " + alone.claimed());
        assertEquals(0, alone.wrong());
        assertTrue(
                borrowed.decidedBy(3) > alone.decidedBy(3) + 0.1,
                borrowed.decidedBy(3) + " after " + alone.decidedBy(3));
    }

    @Test
    void by_hand_a_difference_is_found_where_there_is_none() {
        for (Habit habit : Habit.values()) {
            Habit.Came came = habit.simulate(Case.equal(8), TRIALS, 7);
            assertTrue(came.wrong() > 0.25, habit.says() + " errs in " + came.wrong());
            assertEquals(came.claimed(), came.wrong());
        }
    }
}
