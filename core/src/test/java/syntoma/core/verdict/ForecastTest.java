package syntoma.core.verdict;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import syntoma.core.reading.Figure;
import syntoma.core.reading.Scale;
import syntoma.core.verdict.ForecastSimulation.Score;
import syntoma.core.verdict.ForecastSimulation.World;

class ForecastTest {
    private static final Scale SPEED = Figure.UP_MBPS.scale();

    private static Forecast after(double... differences) {
        Spread spread = new Spread(SPEED.leastSpread(), Optional.empty());
        return Forecast.of(SPEED, spread.effect(differences), Optional.empty());
    }

    @Test
    void a_new_trial_settles_as_often_as_is_said() {
        Score score = new ForecastSimulation(900, 11).newTrials(World.USUAL, 5, Forecast.EVEN);
        assertTrue(score.said() > 30, score.toString());
        assertTrue(score.share() > 0.4 && score.share() < 0.7, score.toString());
    }

    @ParameterizedTest
    @EnumSource(
            value = World.class,
            names = {"USUAL", "STEPS"})
    void the_rounds_left_settle_it_as_often_as_is_said(World world) {
        Score score = new ForecastSimulation(700, 5).left(world, 5, 8, 0.3, 0.9);
        assertTrue(score.said() > 100, score.toString());
        assertEquals(score.promised(), score.share(), 0.11, score.toString());
    }

    @ParameterizedTest
    @EnumSource(
            value = World.class,
            names = {"USUAL", "STEPS"})
    void more_stays_settle_it_as_often_as_is_said(World world) {
        Score score = new ForecastSimulation(700, 7).stays(world, 10);
        assertTrue(score.said() > 20, score.toString());
        assertTrue(score.share() > 0.7 && score.share() < 0.95, score.toString());
    }

    @Test
    void an_effect_of_nought_that_scatters_little_is_settled_soon() {
        OptionalInt rounds = after(0.02, -0.05, 0.04, -0.02, 0.01, 0.03).newTrial(Forecast.EVEN);
        assertTrue(rounds.orElseThrow() < 20, rounds.toString());
    }

    /** The same mean from more rounds is believed more. */
    @Test
    void what_few_rounds_show_is_believed_less() {
        double few = after(0.2, 0.5, 0.8).chance(5, InterimLooks.level(8, 0));
        double many = after(0.2, 0.5, 0.8, 0.2, 0.5, 0.8).chance(5, InterimLooks.level(11, 0));
        assertTrue(few < many, few + " " + many);
    }
}
