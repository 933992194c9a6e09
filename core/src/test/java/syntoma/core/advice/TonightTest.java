package syntoma.core.advice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What is said of the options, and of how often it was right. */
class TonightTest {
    private static AdvisedOption advised(String setup, double chance) {
        return advised(setup, chance, NeededHours.NOW);
    }

    private static AdvisedOption advised(String setup, double chance, String when) {
        Outlook.Rate rate = new Outlook.Rate(1, 0.1, 0.1, Double.POSITIVE_INFINITY);
        return new AdvisedOption(
                new Option(setup, "Ostrel", OptionalDouble.empty(), 0, OptionalDouble.empty(), OptionalDouble.empty()),
                new Outlook(-95, 1, rate, rate, rate, 0.2),
                new NeededHours(
                        DayPart.DAY,
                        "HD film",
                        when,
                        new Outlook.RunRequirement(
                                OptionalDouble.of(3),
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                OptionalDouble.empty())),
                chance,
                0,
                List.of());
    }

    private static final StayContext HERE = new StayContext(7, 7, DayPart.EVENING);
    private static final Silence NOT_SILENT = Silence.of(List.of(), HERE, Map.of());

    private static final AdvisedOption DOME = advised("Roof dome", 0.84);
    private static final AdvisedOption MAST = advised("Mast panel", 0.61);

    @Test
    void the_first_is_named_and_what_is_up_is_left_as_it_is() {
        assertEquals(
                "Use Roof dome on Ostrel: it should meet Video calls about 8 times in 10.",
                new Tonight(List.of(DOME, MAST), Optional.of(MAST), Optional.empty(), NOT_SILENT, List.of())
                        .says("Video calls"));
        assertEquals(
                "Leave it as it is: Roof dome on Ostrel should meet Video calls about 8 times in 10.",
                new Tonight(List.of(DOME, MAST), Optional.of(DOME), Optional.empty(), NOT_SILENT, List.of())
                        .says("Video calls"));
    }

    @Test
    void a_need_of_other_hours_says_them() {
        AdvisedOption later = advised("Roof dome", 0.84, "this evening");
        assertEquals(
                "Use Roof dome on Ostrel: it should meet HD film about 8 times in 10 this evening.",
                new Tonight(List.of(later, MAST), Optional.empty(), Optional.empty(), NOT_SILENT, List.of())
                        .says("HD film"));
    }

    /** The model is for the dome; a trial here decided for the mast, and that is what is said. */
    @Test
    void what_was_proven_here_goes_before_what_is_predicted() {
        List<StayVerdict> proven = List.of(new StayVerdict("Mast panel", "Roof dome", Set.of("Ostrel")));
        List<AdvisedOption> ranked = AdvisedOption.rank(List.of(DOME, MAST), proven);
        assertEquals(List.of(MAST, DOME), ranked);
        Tonight tonight = new Tonight(ranked, Optional.of(DOME), Optional.empty(), NOT_SILENT, proven);
        assertTrue(tonight.says("Video calls").startsWith("Use Mast panel on Ostrel"), tonight.says("Video calls"));
        assertEquals(
                Optional.of("Measured side by side here, it is the one to use instead of Roof dome."),
                tonight.whyHere(0));
        List<StayVerdict> elsewhere = List.of(new StayVerdict("Mast panel", "Roof dome", Set.of("Brissa")));
        assertEquals(List.of(DOME, MAST), AdvisedOption.rank(List.of(DOME, MAST), elsewhere));
        List<StayVerdict> circle = List.of(proven.get(0), new StayVerdict("Roof dome", "Mast panel", Set.of("Ostrel")));
        assertEquals(2, AdvisedOption.rank(List.of(DOME, MAST), circle).size());
    }

    @Test
    void where_nothing_here_is_likely_moving_on_comes_first_only_if_it_is_clearly_better() {
        AdvisedOption poor = advised("Roof dome", 0.2);
        Tonight stay = new Tonight(
                List.of(poor), Optional.empty(), Optional.of(advised("Mast panel", 0.4)), NOT_SILENT, List.of());
        assertFalse(stay.movesOn());
        assertEquals(
                "Use Roof dome on Ostrel: it is the best bet, and should meet HD film about 2 times in 10.",
                stay.says("HD film"));
        Tonight move = new Tonight(List.of(poor), Optional.empty(), Optional.of(MAST), NOT_SILENT, List.of());
        assertTrue(move.movesOn());
        assertTrue(move.says("HD film").startsWith("Move on if you can: Roof dome on Ostrel is the best bet here"));
    }

    private static PastMeasurement phone(boolean inside, double dbm) {
        return PastMeasurement.phone(inside, "Ostrel", 7, 7, 1, DayPart.EVENING, dbm);
    }

    @Test
    void where_every_carrier_is_silent_that_comes_first_with_what_to_try() {
        Silence silence = Silence.of(List.of(phone(true, PastMeasurement.NO_SERVICE_DBM)), HERE, Map.of());
        Tonight tonight = new Tonight(List.of(DOME, MAST), Optional.of(DOME), Optional.empty(), silence, List.of());
        assertEquals("No carrier was heard here yet.", tonight.says("Messages"));
        assertTrue(tonight.whatToTry().get(0).startsWith("Zero bars inside prove nothing"));
        assertTrue(tonight.whatToTry().get(4).contains("another way to call"));
        // outside it is something else
        Silence outside = Silence.of(List.of(phone(false, PastMeasurement.NO_SERVICE_DBM)), HERE, Map.of());
        assertFalse(new Tonight(List.of(DOME), Optional.empty(), Optional.empty(), outside, List.of())
                .whatToTry()
                .get(0)
                .contains("Zero bars"));
    }

    /** A phone inside that hears nothing bounds the roof at −124 + 12 dB, a phone outside at −124 dBm; the signal lies under that. */
    @Test
    void no_service_is_a_bound_and_what_was_heard_lifts_it() {
        PastMeasurement inside = phone(true, PastMeasurement.NO_SERVICE_DBM);
        PastMeasurement outside = phone(false, PastMeasurement.NO_SERVICE_DBM);
        OptionalDouble none = OptionalDouble.empty();
        assertEquals(
                -120,
                Silence.of(List.of(inside), HERE, Map.of())
                        .levelDbm("Ostrel", none)
                        .orElseThrow());
        assertEquals(
                -132,
                Silence.of(List.of(inside, outside), HERE, Map.of())
                        .levelDbm("Ostrel", none)
                        .orElseThrow());
        assertEquals(
                -123,
                Silence.of(List.of(outside), HERE, Map.of())
                        .levelDbm("Ostrel", OptionalDouble.of(9))
                        .orElseThrow());
        assertFalse(
                Silence.of(List.of(outside, phone(false, -110)), HERE, Map.of()).isSilent("Ostrel"));
        assertFalse(Silence.of(List.of(outside), new StayContext(8, 8, DayPart.DAY), Map.of())
                .isSilent("Ostrel"));
    }

    @Test
    void an_order_that_is_not_by_chance_is_explained() {
        AdvisedOption more = advised("Mast panel", 0.88);
        Tonight tonight = new Tonight(List.of(DOME, more), Optional.empty(), Optional.empty(), NOT_SILENT, List.of());
        assertEquals(
                "About as likely as the next ones, and less work.",
                tonight.whyHere(0).orElseThrow());
        assertEquals("About as likely as the first.", tonight.whyHere(1).orElseThrow());
        assertTrue(new Tonight(List.of(DOME, MAST), Optional.empty(), Optional.empty(), NOT_SILENT, List.of())
                .whyHere(0)
                .isEmpty());
    }

    @Test
    void without_options_or_a_need_it_says_what_to_do_first() {
        assertEquals(
                "Measure once with each setup to get advice.",
                new Tonight(List.of(), Optional.empty(), Optional.empty(), NOT_SILENT, List.of()).says("HD film"));
        assertEquals(
                "Choose what you need the connection for to get advice.",
                new Tonight(List.of(DOME), Optional.empty(), Optional.empty(), NOT_SILENT, List.of()).says(""));
    }

    @Test
    void its_record_counts_each_advice_once_and_says_how_far_off_speeds_were() {
        assertEquals(
                "You have not followed any advice yet. When you do, this shows how often it was right.",
                TrackRecord.of(List.of()).says());
        TrackRecord record = TrackRecord.of(List.of(
                outcome(0.9, 4, 4, 10, 12),
                outcome(0.8, 10, 5, 10, 5),
                outcome(0.7, 1, 1, 10, 10),
                new TrackRecord.Outcome(0.6, 1, 0, OptionalDouble.empty(), OptionalDouble.empty())));
        assertEquals(0.75, record.predictedShare().getAsDouble(), 1e-12);
        // 4/4, 5/10, 1/1 and 0/1
        assertEquals(0.625, record.observedShare().getAsDouble(), 1e-12);
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
