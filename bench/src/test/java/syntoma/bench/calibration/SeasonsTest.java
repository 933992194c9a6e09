package syntoma.bench.calibration;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;

/** A small run of the seasons that {@code ./syntoma calibrate} makes; the limits allow for chance. */
class SeasonsTest {
    private static final int SEASONS = 5;
    private static final int STAYS = 34;

    private final Seasons seasons = Seasons.of(SEASONS, STAYS, 77);

    @Test
    void what_is_called_seventy_percent_comes_true_about_as_often() {
        assertEquals(SEASONS * STAYS, seasons.stays());
        assertEquals(0.70, seasons.ofSeventy(), 0.10);
        Seasons.Bin high = seasons.bins().get(9);
        assertTrue(high.count() > 200, high.toString());
        assertEquals(high.stated(), high.came(), 0.05);
        Seasons.Bin low = seasons.bins().get(0);
        assertTrue(low.came() < 0.1, low.toString());
    }

    @Test
    void its_choice_is_near_the_best_one_and_far_better_than_what_averages_say() {
        assertTrue(seasons.regret() <= 0.06, "regret " + seasons.regret());
        assertTrue(seasons.plainRegret() > 2 * seasons.regret(), "averages " + seasons.plainRegret());
    }
}
