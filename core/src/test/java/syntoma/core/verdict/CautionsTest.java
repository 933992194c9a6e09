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
import syntoma.core.verdict.Circumstances.Made;

/** What could still be wrong, and what is said first, whatever setups are called. */
class CautionsTest {
    private static final OffsetDateTime NOON = OffsetDateTime.parse("2026-08-14T12:00:00+03:00");

    private static Comparison compared(Figure metric, String baseline, String candidate, double[] a, double[] b) {
        List<Sample> samples = new ArrayList<>();
        for (int i = 0; i < a.length; i++) {
            samples.add(sample(i, baseline, a[i]));
            samples.add(sample(i, candidate, b[i]));
        }
        return new Comparer(metric, samples, OptionalInt.empty(), OptionalDouble.empty()).pair(baseline, candidate);
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

    private static List<String> cautions(Comparison comparison, boolean planned, Made... made) {
        return Cautions.of(List.of(comparison), Circumstances.of(List.of(made)), planned);
    }

    private static Made at(int hour, String carrier, String server) {
        return new Made(NOON.withHour(hour), carrier, server);
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
        assertEquals("Not planned as a trial in Syntoma, so this is taken as a single look at 95 %.", said.get(3));
        assertEquals(
                "All runs were before 18:00; one evening round would tell whether it holds then.",
                cautions(CLEAR, true, at(17, "", ""), at(8, "", "")).get(0));
    }

    @Test
    void failures_come_first_and_rounds_without_a_pair_are_counted() {
        Comparison failing =
                compared(Figure.UP_MBPS, "A", "B", new double[] {4, 4.1, 3.9, 4}, new double[] {8, 8.1, 7.9, 0});
        List<String> said = cautions(failing, true, at(9, "", ""), at(20, "", ""));
        assertEquals("Failed runs: A 0 of 4, B 1 of 4.", said.get(0));
        assertEquals("1 round lacks upload from one of the two and could not be paired.", said.get(1));
    }

    @Test
    void a_name_that_looks_like_an_interval_stays_whole() {
        String odd = "Whips (2 rounds)";
        Comparison comparison =
                compared(Figure.UP_MBPS, "A", odd, new double[] {4, 4.1, 3.9}, new double[] {8, 8.1, 7.9});
        assertEquals("Whips (2 rounds) roughly doubles your upload here.", comparison.headline());
        assertTrue(comparison.sentence().startsWith("Whips (2 rounds) roughly doubles your upload here (×1."));
    }

    @Test
    void the_headline_is_made_of_the_first_two_and_says_it_the_second_time() {
        Comparison down =
                compared(Figure.DOWN_MBPS, "A", "B", new double[] {10, 10.1, 9.9}, new double[] {30, 30.5, 29.5});
        assertEquals(
                "B roughly doubles your upload here. It raises your download here ×3.00.",
                Headline.of(List.of(CLEAR, down)));
        Comparison few = compared(Figure.UP_MBPS, "A", "B", new double[] {4}, new double[] {8});
        assertEquals(
                "No verdict on upload: one round has it from both setups; a verdict needs three rounds.",
                Headline.of(List.of(few, few)));
    }
}
