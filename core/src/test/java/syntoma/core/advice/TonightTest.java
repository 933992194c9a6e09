package syntoma.core.advice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What is said of the options, and of how often it was right. */
class TonightTest {
    private static Advised advised(String setup, double chance) {
        Outlook.Rate rate = new Outlook.Rate(1, 0.1, 0.1, Double.POSITIVE_INFINITY);
        return new Advised(
                new Option(setup, "Ostrel", OptionalDouble.empty(), 0, OptionalDouble.empty(), OptionalDouble.empty()),
                new Outlook(-95, 1, rate, rate, rate, 0.2),
                chance);
    }

    private static final Advised DOME = advised("Roof dome", 0.84);
    private static final Advised MAST = advised("Mast panel", 0.61);

    @Test
    void the_first_is_named_and_what_is_up_is_left_as_it_is() {
        assertEquals(
                "Use Roof dome on Ostrel: it meets Video calls in about 84 of 100 runs.",
                new Tonight(List.of(DOME, MAST), Optional.of(MAST), Optional.empty()).says("Video calls"));
        assertEquals(
                "Leave it as it is: Roof dome on Ostrel meets Video calls in about 84 of 100 runs.",
                new Tonight(List.of(DOME, MAST), Optional.of(DOME), Optional.empty()).says("Video calls"));
    }

    @Test
    void where_nothing_here_is_likely_moving_on_comes_first_only_if_it_is_clearly_better() {
        Advised poor = advised("Roof dome", 0.2);
        Tonight stay = new Tonight(List.of(poor), Optional.empty(), Optional.of(advised("Mast panel", 0.4)));
        assertFalse(stay.movesOn());
        assertEquals(
                "Use Roof dome on Ostrel: it is the best bet, and meets HD film in about 20 of 100 runs.",
                stay.says("HD film"));
        Tonight move = new Tonight(List.of(poor), Optional.empty(), Optional.of(MAST));
        assertTrue(move.movesOn());
        assertTrue(move.says("HD film").startsWith("Move on if you can: Roof dome on Ostrel is the best bet here"));
    }

    @Test
    void without_options_or_a_need_it_says_what_to_do_first() {
        assertEquals(
                "Measure once with each setup, and what to use is said here.",
                new Tonight(List.of(), Optional.empty(), Optional.empty()).says("HD film"));
        assertEquals(
                "Say what the connection is for, and what to use is said here.",
                new Tonight(List.of(DOME), Optional.empty(), Optional.empty()).says(""));
    }

    @Test
    void its_record_counts_each_advice_once_and_says_how_far_off_speeds_were() {
        assertEquals(
                "No advice was followed yet; what comes of it will be counted here.",
                TrackRecord.of(List.of()).says());
        TrackRecord record = TrackRecord.of(List.of(
                outcome(0.9, 4, 4, 10, 12),
                outcome(0.8, 10, 5, 10, 5),
                outcome(0.7, 1, 1, 10, 10),
                new TrackRecord.Outcome(0.6, 1, 0, OptionalDouble.empty(), OptionalDouble.empty())));
        assertEquals(0.75, record.said().getAsDouble(), 1e-12);
        // 4/4, 5/10, 1/1 and 0/1
        assertEquals(0.625, record.came().getAsDouble(), 1e-12);
        // off by ×1.2, ×2 and ×1: the middle one
        assertEquals(1.2, record.offBy().getAsDouble(), 1e-12);
        assertEquals(
                "4 times it was followed: it said 75 % on average, and 63 % came true; speeds were off by ×1.2 typically."
                        + " Too few to judge it by.",
                record.says());
    }

    private static TrackRecord.Outcome outcome(double chance, int runs, int met, double expected, double measured) {
        return new TrackRecord.Outcome(chance, runs, met, OptionalDouble.of(expected), OptionalDouble.of(measured));
    }
}
