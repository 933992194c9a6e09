package syntoma.core.verdict;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Sample;
import syntoma.core.verdict.Circumstances.MeasuredWhere;

/** What could still be wrong, and what is said first, whatever setups are called. */
class CautionsTest {
    private static final OffsetDateTime NOON = OffsetDateTime.parse("2026-08-14T12:00:00+03:00");

    private static Comparison compared(Figure metric, String baseline, String candidate, double[] a, double[] b) {
        List<Sample> samples = new ArrayList<>();
        for (int i = 0; i < a.length; i++) {
            samples.add(sample(i, baseline, a[i]));
            samples.add(sample(i, candidate, b[i]));
        }
        return Comparer.unplanned(metric, samples).pair(baseline, candidate);
    }

    private static Sample sample(int round, String setup, double value) {
        return new Sample(
                NOON.plusMinutes(10L * round).toInstant(),
                1,
                "Tarnwave",
                setup,
                "T",
                OptionalInt.of(round + 1),
                "B20",
                value > 0,
                value > 0 ? OptionalDouble.of(value) : OptionalDouble.empty());
    }

    private static List<String> cautions(Comparison comparison, boolean planned, MeasuredWhere... made) {
        return Cautions.of(List.of(comparison), Circumstances.of(List.of(made)), new JudgingRules(planned, 1, 0, 0));
    }

    private static MeasuredWhere at(int hour, String carrier, String server) {
        return new MeasuredWhere(NOON.withHour(hour), carrier, server);
    }

    private static final Comparison CLEAR =
            compared(Figure.UP_MBPS, "A", "B", new double[] {4, 4.1, 3.9}, new double[] {8, 8.1, 7.9});

    @Test
    void a_planned_trial_over_the_day_has_none() {
        assertEquals(List.of(), cautions(CLEAR, true, at(9, "Tarnwave", "one"), at(19, "Tarnwave", "one")));
    }

    @Test
    void carriers_servers_and_hours_are_told() {
        List<String> said = cautions(CLEAR, false, at(18, "Tarnwave", "one"), at(23, "Ostrel", "two"));
        assertTrue(said.get(0).startsWith("Several carriers were in use (Ostrel, Tarnwave)"), said.toString());
        assertTrue(said.get(1).startsWith("The runs went to 2 test servers"));
        assertEquals("All runs were after 18:00; mornings can differ.", said.get(2));
        assertEquals("Not planned as a trial in Syntoma, so this counts as a single look.", said.get(3));
        assertEquals(
                "All runs were before 18:00; one evening round would show whether it is true then too.",
                cautions(CLEAR, true, at(17, "", ""), at(8, "", "")).get(0));
    }

    @Test
    void rounds_without_a_pair_are_counted() {
        Comparison failing =
                compared(Figure.UP_MBPS, "A", "B", new double[] {4, 4.1, 3.9, 4}, new double[] {8, 8.1, 7.9, 0});
        List<String> said = cautions(failing, true, at(9, "", ""), at(20, "", ""));
        assertEquals(List.of("1 round lacks upload from one of the two and could not be paired."), said);
    }

    @Test
    void a_name_that_looks_like_an_interval_stays_whole() {
        String odd = "Whips (2 rounds)";
        Comparison comparison =
                compared(Figure.UP_MBPS, "A", odd, new double[] {4, 4.1, 3.9}, new double[] {8, 8.1, 7.9});
        assertEquals(
                "Whips (2 rounds)’s upload is double that of A. Use Whips (2 rounds) for uploads.",
                comparison.headline(OverallVerdict.NOTHING_ASKED));
        assertTrue(
                comparison.sentence().startsWith("Whips (2 rounds)’s upload is double that of A (clearly: from ×1."));
    }

    @Test
    void the_headline_says_the_first_with_what_to_do_and_the_second_where_it_tells_something_else() {
        Comparison down =
                compared(Figure.DOWN_MBPS, "A", "B", new double[] {10, 10.1, 9.9}, new double[] {30, 30.5, 29.5});
        assertEquals("B’s upload is double that of A. Use B for uploads.", headline(List.of(CLEAR, down)));
        Comparison slower =
                compared(Figure.DOWN_MBPS, "A", "B", new double[] {30, 30.5, 29.5}, new double[] {10, 10.1, 9.9});
        assertEquals(
                "B’s upload is double that of A. Use B for uploads. B’s download is a third of A’s.",
                headline(List.of(CLEAR, slower)));
        Comparison few = compared(Figure.UP_MBPS, "A", "B", new double[] {4}, new double[] {8});
        assertEquals(
                "Too few rounds on upload: one round has it from both setups, and a verdict takes three."
                        + " Measure two more rounds with both in turn.",
                headline(List.of(few, few)));
    }

    private static String headline(List<Comparison> pair) {
        return Headline.of(pair, OverallVerdict.of(pair, List.of(), NeedComparison.NONE));
    }

    @Test
    void failures_lead() {
        double[] ok = {4, 4.1, 3.9, 4, 4.2, 4.1};
        Comparison dead = compared(Figure.UP_MBPS, "Roof dome", "Booster", ok, new double[6]);
        assertEquals(
                "Booster failed in 6 of the 6 rounds in which both were tried; Roof dome ran in all of them. Use Roof"
                        + " dome.",
                headline(List.of(dead)));
        Comparison twice =
                compared(Figure.UP_MBPS, "Roof dome", "Booster", new double[] {4, 4.1, 3.9}, new double[] {0, 0, 0});
        assertEquals(
                "Booster gave no upload here: all three of its runs failed. Use Roof dome.", headline(List.of(twice)));
    }

    @Test
    void a_verdict_that_rests_on_one_round_is_cautioned_about() {
        Comparison c = compared(
                Figure.UP_MBPS, "A", "B", new double[] {4, 4, 4, 4, 4}, new double[] {4.6, 4.7, 4.5, 4.8, 7.5});
        assertTrue(
                cautions(c, true, at(9, "", ""), at(20, "", "")).stream()
                        .anyMatch(said ->
                                said.startsWith("Upload depends on round 5: without it the verdict would be “")),
                c.sentence());
    }

    @Test
    void measurements_that_stand_aside_are_counted() {
        List<String> said = Cautions.of(
                List.of(CLEAR),
                Circumstances.of(List.of(at(9, "", ""), at(20, "", ""))),
                new JudgingRules(true, 1, 4, 0));
        assertEquals(List.of("Judged by the planned trial made here; 4 other measurements are aside."), said);
    }
}
