package syntoma.core.verdict;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import syntoma.core.reading.Figure;
import syntoma.core.run.CappedSetups;
import syntoma.core.trial.Sample;

class VerdictTest {
    private static final double[] A = {4.1, 3.6, 4.4, 3.2, 3.9};
    private static final double[] B = {7.9, 6.1, 9.0, 5.2, 7.4};

    /** One sample per round and setup; a value of 0 is a failed run, NaN no row. */
    static List<Sample> rounds(String setup, String band, double... values) {
        List<Sample> samples = new ArrayList<>();
        for (int i = 0; i < values.length; i++) {
            if (!Double.isNaN(values[i])) {
                boolean ok = values[i] != 0;
                samples.add(new Sample(
                        Instant.parse("2026-07-10T10:00:00Z").plusSeconds(900L * i + setup.charAt(0)),
                        1,
                        "Tarnwave",
                        setup,
                        "t",
                        OptionalInt.of(i + 1),
                        band,
                        ok,
                        ok ? OptionalDouble.of(values[i]) : OptionalDouble.empty()));
            }
        }
        return samples;
    }

    /** For metrics of which 0 is an ordinary value. */
    private static Sample oneLess(Sample s) {
        return new Sample(
                s.takenAt(),
                s.stay(),
                s.sim(),
                s.setup(),
                s.trial(),
                s.round(),
                s.band(),
                s.hasSucceeded(),
                OptionalDouble.of(s.value().getAsDouble() - 1));
    }

    static Comparison compare(Figure metric, OptionalInt planned, double[] a, double[] b) {
        List<Sample> samples = new ArrayList<>(rounds("A", "", a));
        samples.addAll(rounds("B", "", b));
        Optional<Plan> plan =
                planned.isPresent() ? Optional.of(new Plan(planned.getAsInt(), Optional.empty())) : Optional.empty();
        return new Comparer(metric, samples, plan, CappedSetups.NONE).pair("A", "B");
    }

    @Test
    void the_worked_example_comes_out_to_the_digit() {
        Comparison plain = compare(Figure.UP_MBPS, OptionalInt.empty(), A, B);
        assertEquals(1.83, plain.estimate().orElseThrow(), 0.005);
        assertEquals(1.63, plain.low().orElseThrow(), 0.005);
        assertEquals(2.06, plain.high().orElseThrow(), 0.005);
        assertEquals(0.95, plain.level(), 1e-12);
        assertEquals(Verdict.BETTER, plain.verdict());
        assertEquals(
                "B’s upload is nearly double that of A (clearly: from ×1.63 to ×2.06 over five rounds, 95 % sure)."
                        + " Use B for uploads.",
                plain.sentence());
        assertEquals(
                "B’s upload is nearly double that of A. Use B for uploads.",
                plain.headline(OverallVerdict.NOTHING_ASKED));

        Comparison look = compare(Figure.UP_MBPS, OptionalInt.of(5), A, B);
        assertEquals(1.57, look.low().orElseThrow(), 0.005);
        assertEquals(2.14, look.high().orElseThrow(), 0.005);
        assertEquals(0.9773, look.level(), 1e-12);
        assertEquals(List.of(), look.wildRuns());
        assertEquals(Optional.empty(), look.restsOn());
    }

    @Test
    void rounds_past_the_plan_are_judged_more_strictly_and_it_says_so() {
        Comparison within = compare(Figure.UP_MBPS, OptionalInt.of(5), A, B);
        Comparison past = compare(Figure.UP_MBPS, OptionalInt.of(4), A, B);
        assertEquals(0.999, past.level(), 1e-12);
        assertTrue(past.low().orElseThrow() < within.low().orElseThrow());
        assertTrue(past.isPastPlan() && !within.isPastPlan());
        assertTrue(
                past.sentence()
                        .endsWith("One round since then: ×1.90; that does not change it (past the plan, judged more"
                                + " strictly)."),
                past.sentence());
    }

    /** One bad round after seven that settled it: the strict look alone could no longer tell. */
    @Test
    void what_the_plan_decided_stays_decided() {
        double[] a = {4.1, 3.6, 4.4, 3.2, 3.9, 4.0, 3.8, 6};
        double[] b = {7.9, 6.1, 9.0, 5.2, 7.4, 7.0, 7.1, 4};
        Comparison past = compare(Figure.UP_MBPS, OptionalInt.of(7), a, b);
        Comparison planned = past.plannedLook().orElseThrow();
        assertEquals(Verdict.BETTER, planned.verdict());
        assertEquals(7, planned.rounds().size());
        assertEquals(Verdict.BETTER, past.verdict());
        assertTrue(past.low().orElseThrow() < 1 && past.level() > 0.998, "the strict look does not tell");
        assertTrue(
                past.headline(OverallVerdict.NOTHING_ASKED).contains("One round since then: ×0.67"), past.sentence());
        assertFalse(past.sentence().contains("Can’t tell"), past.sentence());
    }

    @Test
    void rounds_past_the_plan_that_decide_otherwise_change_the_verdict_and_it_says_so() {
        double[] a = new double[20];
        double[] b = new double[20];
        for (int i = 0; i < a.length; i++) {
            a[i] = i < 3 ? 4 + i * 0.05 : 8 + i * 0.02;
            b[i] = i < 3 ? 5.6 + i * 0.1 : 4;
        }
        Comparison past = compare(Figure.UP_MBPS, OptionalInt.of(3), a, b);
        assertEquals(Verdict.BETTER, past.plannedLook().orElseThrow().verdict());
        assertEquals(Verdict.WORSE, past.verdict());
        assertTrue(
                past.sentence()
                        .endsWith(
                                "After the three planned rounds it was “better”; the rounds since then changed that."),
                past.sentence());
    }

    @Test
    void a_round_that_only_one_setup_has_begun_is_not_past_the_plan() {
        double[] begun = Arrays.copyOf(A, 6);
        begun[5] = 4;
        assertEquals(
                0.9773, compare(Figure.UP_MBPS, OptionalInt.of(5), begun, B).level(), 1e-12);
    }

    /** The same difference in every round: 0.02 · t(2) / √3 = 0.0497 either way of ln 2. */
    @Test
    void the_spread_has_a_floor_so_that_no_interval_has_the_width_nought() {
        Comparison ratio =
                compare(Figure.UP_MBPS, OptionalInt.empty(), new double[] {4, 5, 6}, new double[] {8, 10, 12});
        assertEquals(2 * Math.exp(-0.0497), ratio.low().orElseThrow(), 0.001);
        assertEquals(2 * Math.exp(0.0497), ratio.high().orElseThrow(), 0.001);
        Comparison level = compare(
                Figure.RSRP_DBM, OptionalInt.empty(), new double[] {-100, -101, -99}, new double[] {-97, -98, -96});
        assertEquals(3 - 0.41 * 4.3027 / Math.sqrt(3), level.low().orElseThrow(), 0.001);
        assertEquals(Verdict.BETTER, level.verdict());
    }

    @Test
    void a_verdict_that_one_round_carries_says_which_and_what_it_would_be() {
        Comparison c = compare(
                Figure.UP_MBPS, OptionalInt.empty(), new double[] {4, 4, 4, 4, 4}, new double[] {4.6, 4.7, 4.5, 4.8, 7.5
                });
        RestsOn rests = c.restsOn().orElseThrow();
        assertEquals(5, rests.round().round());
        Comparison without = compare(
                Figure.UP_MBPS, OptionalInt.empty(), new double[] {4, 4, 4, 4}, new double[] {4.6, 4.7, 4.5, 4.8});
        assertEquals(without.verdict(), rests.verdictWithout());
        assertNotEquals(c.verdict(), rests.verdictWithout());
        // of three rounds none can be left out
        assertEquals(
                Optional.empty(),
                compare(Figure.UP_MBPS, OptionalInt.empty(), new double[] {4, 4, 4}, new double[] {4.6, 4.7, 7.5})
                        .restsOn());
    }

    @ParameterizedTest
    @CsvSource({"3", "5", "8"})
    void the_levels_of_early_looks_are_those_of_the_simulation(int planned) {
        double simulated = LookLevelsProgram.levels(planned, 0, 60_000, 7)[planned - 3];
        assertEquals(InterimLooks.level(planned, 0), simulated, 0.06 * InterimLooks.level(planned, 0));
        double borrowing = LookLevelsProgram.levels(planned, 6, 60_000, 7)[planned - 3];
        assertEquals(InterimLooks.level(planned, 6), borrowing, 0.06 * InterimLooks.level(planned, 6));
    }

    @ParameterizedTest
    @CsvSource({"0.35, 1.4, 15", "0.35, 2, 6", "0.2, 1.4, 7", "0.2, 2, 3", "0.5, 2, 9"})
    void rounds_wanted_are_those_of_the_method(double sd, double ratio, int rounds) {
        assertEquals(OptionalInt.of(rounds), RoundsNeeded.roundsToPlan(Math.log(ratio), sd, 1));
    }

    @Test
    void a_difference_too_small_for_twenty_rounds_is_said_to_be() {
        assertEquals(OptionalInt.empty(), RoundsNeeded.roundsToPlan(Math.log(1.05), 0.5, 1));
        Comparison c = compare(Figure.UP_MBPS, OptionalInt.empty(), new double[] {1, 2, 4}, new double[] {2, 1.1, 4.2});
        assertEquals(Verdict.CANNOT_TELL, c.verdict());
        assertEquals(OptionalInt.empty(), c.roundsWanted());
        assertTrue(
                c.sentence().endsWith("Telling them apart is not worth the work: use the one that is less" + " work."),
                c.sentence());
    }

    @Test
    void an_open_comparison_says_what_would_settle_it() {
        double[] a = {4, 4, 4};
        double[] b = {9, 5, 8};
        Comparison c = compare(Figure.UP_MBPS, OptionalInt.empty(), a, b);
        assertEquals(Verdict.CANNOT_TELL, c.verdict());
        // the largest of what one sees is rarely all there: so few rounds promise no more than an even chance
        assertEquals(OptionalInt.empty(), c.roundsWanted());
        int even = c.outlook().orElseThrow().evenTrial().orElseThrow();
        assertTrue(
                c.sentence().contains("A new trial of " + Amount.count(even, "round") + " has about an even chance"),
                c.sentence());
        assertTrue(c.sentence().endsWith("meanwhile use the one that is less work."), c.sentence());

        Comparison planned = compare(Figure.UP_MBPS, OptionalInt.of(9), a, b);
        Outlook outlook = planned.outlook().orElseThrow();
        assertEquals(6, outlook.roundsLeft());
        assertTrue(outlook.chance().orElseThrow() > 0.5);
        assertTrue(planned.sentence().contains("The six rounds left of the plan may settle it (about "));
        assertEquals(c.roundsWanted(), planned.roundsWanted());
    }

    @Test
    void under_three_rounds_there_are_numbers_and_no_verdict() {
        Comparison c = compare(Figure.UP_MBPS, OptionalInt.empty(), new double[] {4, 4}, new double[] {8, 8});
        assertEquals(Verdict.TOO_FEW, c.verdict());
        assertEquals(2.0, c.estimate().orElseThrow(), 1e-9);
        assertTrue(c.low().isEmpty() && c.high().isEmpty() && c.roundsWanted().isEmpty());
        assertEquals(
                Verdict.TOO_FEW,
                compare(Figure.UP_MBPS, OptionalInt.empty(), new double[] {}, new double[] {8})
                        .verdict());
    }

    @Test
    void inside_the_margin_is_no_difference_even_when_it_is_certain() {
        double[] a = {10, 11, 12, 10};
        double[] b = {11, 12.2, 13.1, 11.1};
        assertEquals(
                Verdict.NO_DIFFERENCE,
                compare(Figure.UP_MBPS, OptionalInt.empty(), a, b).verdict());
    }

    @Test
    void beyond_no_difference_but_inside_the_margin_is_slightly() {
        double[] a = {10, 10, 10, 10, 10};
        double[] b = {11.0, 12.6, 11.4, 12.4, 11.9};
        Comparison c = compare(Figure.UP_MBPS, OptionalInt.empty(), a, b);
        assertEquals(Verdict.SLIGHTLY_BETTER, c.verdict());
        Comparison latency =
                compare(Figure.UP_LOADED_MS, OptionalInt.empty(), a, new double[] {11.2, 13, 11.6, 13.1, 12});
        assertEquals(Verdict.SLIGHTLY_WORSE, latency.verdict());
    }

    @Test
    void lower_latency_is_better_and_the_estimate_stays_candidate_against_baseline() {
        Comparison c = compare(
                Figure.UP_LOADED_MS, OptionalInt.empty(), new double[] {210, 220, 205}, new double[] {140, 150, 139});
        assertEquals(Verdict.BETTER, c.verdict());
        assertEquals(0.676, c.estimate().orElseThrow(), 0.005);
        assertEquals(139, c.plainAverages().candidateBest().orElseThrow());
    }

    /** Differences 4, 4, 3, 4, 4: mean 3.8, SD 0.447, standard error 0.2, t(4) 2.776. */
    @Test
    void loss_is_compared_in_points_and_none_at_all_is_an_ordinary_value() {
        List<Sample> samples = new ArrayList<>(rounds("A", "", 1, 3, 1, 2, 1));
        samples.addAll(rounds("B", "", 5, 7, 4, 6, 5));
        samples.replaceAll(VerdictTest::oneLess);
        Comparison c = Comparer.unplanned(Figure.LOSS_PCT, samples).pair("A", "B");
        assertEquals(Verdict.WORSE, c.verdict());
        assertEquals(3.8, c.estimate().orElseThrow(), 1e-12);
        assertEquals(3.245, c.low().orElseThrow(), 0.001);
        assertEquals(4.355, c.high().orElseThrow(), 0.001);
        assertEquals(
                "B’s loss is 3.8 points higher than A’s (clearly: from 3.2 to 4.4 points over five rounds, 95 % sure)."
                        + " Use A for calls.",
                c.sentence());
    }

    @Test
    void a_capped_direction_keeps_its_numbers_and_ranks_nothing() {
        List<Sample> samples = new ArrayList<>(rounds("A", "", 61.8, 62.1, 61.9));
        samples.addAll(rounds("B", "", 62, 62.2, 61.7));
        Comparison c = new Comparer(
                        Figure.DOWN_MBPS, samples, Optional.empty(), new CappedSetups(Map.of("A", 62.0, "B", 62.0)))
                .pair("A", "B");
        assertEquals(Verdict.CAPPED, c.verdict());
        assertTrue(c.sentence().contains("about 62 Mb/s") && c.low().isPresent());
    }

    @Test
    void faster_but_failing_is_less_reliable() {
        double[] a = {4, 4.2, 4, 3.9, 4.1, 4, 4.3, 4, 4.1};
        double[] b = {0, 8, 0, 8.2, 0, 0, 7.9, 0, 0};
        Comparison c = compare(Figure.UP_MBPS, OptionalInt.empty(), a, b);
        assertEquals(Verdict.LESS_RELIABLE, c.verdict());
        assertEquals(0.03125, c.failures().mcnemarP(), 1e-12);
        assertEquals(6, c.leftOut());
        assertTrue(c.sentence().contains("failed in 6 of 9 rounds"), c.sentence());
    }

    @Test
    void no_row_is_not_a_failure() {
        double[] b = {8, Double.NaN, 8, Double.NaN, 8.1};
        Comparison c = compare(Figure.UP_MBPS, OptionalInt.empty(), A, b);
        assertEquals(3, c.rounds().size());
        assertEquals(2, c.leftOut());
        assertEquals(0, c.failures().candidate().failures());
        assertEquals(3, c.failures().candidate().attempts());
    }

    @Test
    void wilson_and_mcnemar_and_holm_give_the_textbook_numbers() {
        Share share = Share.of(10, 1);
        assertEquals(0.0179, share.low().orElseThrow(), 0.0001);
        assertEquals(0.4042, share.high().orElseThrow(), 0.0001);
        assertEquals(0.0, Share.of(5, 0).low().orElseThrow());
        assertTrue(Share.of(0, 0).low().isEmpty());
        assertThrows(IllegalArgumentException.class, () -> Share.of(3, 4));
        assertEquals(0.03125, McNemar.p(6, 0), 1e-12);
        assertEquals(1, McNemar.p(0, 0));
        assertEquals(1, McNemar.p(2, 2));
        // .01 .04 .03 at 5 %: the first is decided at a third, then the next fails at a half, and all after it
        assertEquals(0.05 / 3, Holm.threshold(List.of(0.04, 0.03), 0.05), 1e-12);
        assertEquals(0.05 / 2, Holm.threshold(List.of(0.01, 0.03), 0.05), 1e-12);
        assertEquals(0.05, Holm.threshold(List.of(0.01, 0.02), 0.05), 1e-12);
        assertEquals(0.05, Holm.threshold(List.of(), 0.05), 1e-12);
    }

    @Test
    void one_wild_run_is_marked_with_its_culprit_and_the_result_without_it() {
        double[] b = {7.9, 6.1, 60, 5.2, 7.4};
        Comparison c = compare(Figure.UP_MBPS, OptionalInt.empty(), A, b);
        assertEquals(1, c.wildRuns().size());
        WildRun wild = c.wildRuns().get(0);
        assertEquals(3, wild.round().key().round());
        assertEquals("B", wild.setup());
        assertEquals(60 / 4.4, wild.ratio(), 1e-9);
        assertTrue(wild.estimate() < c.estimate().orElseThrow());
        assertEquals(5, c.rounds().size());
    }

    @Test
    void radio_metrics_are_paired_within_one_band() {
        List<Sample> samples = new ArrayList<>(rounds("A", "B20", -104, -103, -105, -104));
        samples.addAll(rounds("B", "B20", -97, -97, -98, Double.NaN));
        samples.addAll(rounds("B", "B3", -80, Double.NaN, Double.NaN, -80));
        Comparison c = Comparer.unplanned(Figure.RSRP_DBM, samples).pair("A", "B");
        assertEquals(3, c.rounds().size());
        assertEquals(1, c.leftOut());
        assertEquals(6.67, c.estimate().orElseThrow(), 0.01);
        assertTrue(c.sentence().startsWith("B’s RSRP is 6.7 dB stronger than A’s"), c.sentence());
    }

    @Test
    void several_runs_in_a_round_count_as_their_median_and_sims_are_paired_apart() {
        List<Sample> samples = new ArrayList<>(rounds("A", "", 4, 4, 4));
        samples.addAll(rounds("B", "", 8, 8, 8));
        samples.addAll(rounds("B", "", 7, 7, 7));
        samples.addAll(rounds("B", "", 90, 90, 90));
        Comparison c = Comparer.unplanned(Figure.UP_MBPS, samples).pair("A", "B");
        assertEquals(2.0, c.estimate().orElseThrow(), 1e-9);
        assertEquals((8 + 7 + 90) / 3.0, c.plainAverages().candidateMean().orElseThrow(), 1e-9);
    }

    @Test
    void several_setups_are_adjusted_as_one_family() {
        List<Sample> samples = new ArrayList<>(rounds("A", "", A));
        samples.addAll(rounds("B", "", B));
        samples.addAll(rounds("C", "", 4.3, 3.5, 4.6, 3.3, 3.8));
        Comparer comparer = Comparer.unplanned(Figure.UP_MBPS, samples);
        List<Comparison> family =
                comparer.family("A", comparer.best("A", List.of("A", "B", "C")), List.of("A", "B", "C"));
        assertEquals(
                List.of("A>B", "A>C", "B>C"),
                family.stream().map(c -> c.baseline() + ">" + c.candidate()).toList());
        assertEquals(1 - 0.05 / 3, family.get(0).level(), 1e-12);
        assertTrue(family.get(0).high().orElseThrow()
                > comparer.pair("A", "B").high().orElseThrow());
        assertEquals(Verdict.NO_DIFFERENCE, family.get(1).verdict());
        assertEquals(Verdict.WORSE, family.get(2).verdict());
    }
}
