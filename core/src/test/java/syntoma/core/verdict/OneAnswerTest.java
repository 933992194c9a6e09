package syntoma.core.verdict;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import syntoma.core.need.BuiltInNeeds;
import syntoma.core.need.Met;
import syntoma.core.need.Need;
import syntoma.core.need.NeedRecord;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Sample;

/** The whole need decides what to use, and all sentences about a pair of setups say the same. */
class OneAnswerTest {
    private static final List<Need> CALLS = BuiltInNeeds.all().stream()
            .filter(n -> n.name().equals("Video calls"))
            .toList();
    private static final List<Figure> FIGURES =
            List.of(Figure.DOWN_MBPS, Figure.UP_MBPS, Figure.UP_LOADED_MS, Figure.RSRP_DBM);
    private static final Pattern USE = Pattern.compile("\\b[Uu]se (Alpha|Beta)\\b");

    /** One run: its figures, or none where it failed. */
    private record Run(String setup, int round, Map<Figure, Double> figures) {
        Optional<Function<Figure, Optional<Double>>> judged() {
            return figures.isEmpty() ? Optional.empty() : Optional.of(f -> Optional.ofNullable(figures.get(f)));
        }

        Sample sample(Figure figure) {
            Double value = figures.get(figure);
            return new Sample(
                    Instant.parse("2026-08-14T10:00:00Z").plusSeconds(600L * round),
                    1,
                    "Tarnwave",
                    setup,
                    "trial",
                    OptionalInt.of(round),
                    "B20",
                    !figures.isEmpty(),
                    value == null ? OptionalDouble.empty() : OptionalDouble.of(value));
        }
    }

    private static Run run(String setup, int round, double down, double up, double loadedMs) {
        return new Run(setup, round, Map.of(Figure.DOWN_MBPS, down, Figure.UP_MBPS, up, Figure.UP_LOADED_MS, loadedMs));
    }

    private static NeedComparison need(List<Run> runs) {
        Map<String, NeedRecord> records = new HashMap<>();
        for (String setup : List.of("Alpha", "Beta")) {
            records.put(
                    setup,
                    NeedRecord.of(
                            CALLS,
                            runs.stream()
                                    .filter(r -> r.setup().equals(setup))
                                    .map(Run::judged)
                                    .toList()));
        }
        return NeedComparison.of(
                CALLS,
                records,
                runs.stream().map(r -> r.sample(Figure.UP_MBPS)).toList(),
                runs.stream().map(r -> Met.isMet(CALLS, r.judged())).toList());
    }

    private static List<Comparison> compared(List<Run> runs) {
        return FIGURES.stream()
                .map(figure -> Comparer.unplanned(
                                figure, runs.stream().map(r -> r.sample(figure)).toList())
                        .pair("Alpha", "Beta"))
                .toList();
    }

    @Test
    void the_faster_one_is_not_used_where_the_other_meets_the_need() {
        List<Run> runs = new ArrayList<>();
        for (int round = 1; round <= 5; round++) {
            // Alpha is twice as fast and answers too slowly
            runs.add(run("Alpha", round, 20 + round, 12, 259));
            runs.add(run("Beta", round, 10 + round / 2.0, 6, 90));
        }
        List<Comparison> pair = compared(runs);
        OverallVerdict overall = OverallVerdict.of(pair, CALLS, need(runs));
        assertEquals(Verdict.WORSE, pair.get(0).verdict());
        assertEquals(new SetupChoice(Optional.of("Beta"), SetupChoice.Basis.NEED), overall.choice());
        assertEquals(
                "Use Beta: 5 of 5 runs met Video calls, Alpha 0 of 5; with Alpha latency while uploading is what fails"
                        + " (259 ms, needed 250).",
                Headline.of(pair, overall));
        assertTrue(
                pair.get(0)
                        .sentence(overall)
                        .endsWith("Still, use Beta, which met Video calls in 5 of 5 runs (Alpha in 0 of 5)."),
                pair.get(0).sentence(overall));
    }

    /** 0 of 5 and 2 of 5 may be chance: their 95 % intervals reach to 0.43 and down to 0.12 (Wilson 1927). */
    @Test
    void a_figure_is_enough_only_beside_what_is_not() {
        List<Run> runs = new ArrayList<>();
        for (int round = 1; round <= 5; round++) {
            runs.add(run("Alpha", round, 20 + round, 3.1, 300));
            runs.add(run("Beta", round, 21 + round, 11.9, round <= 2 ? 240 : 259));
        }
        List<Comparison> pair = compared(runs);
        OverallVerdict overall = OverallVerdict.of(pair, CALLS, need(runs));
        assertEquals(
                "Use Beta: 2 of 5 runs met Video calls, Alpha 0 of 5; latency while uploading is what fails (259 ms,"
                        + " needed 250). Beta’s upload is nearly four times that of Alpha.",
                Headline.of(pair, overall));
        assertTrue(
                pair.get(1)
                        .sentence(overall)
                        .contains(
                                "11.9 Mb/s is enough for Video calls; Alpha’s 3.1 is too, but the whole need was met in 2"
                                        + " of 5 and 0 of 5 runs."),
                pair.get(1).sentence(overall));
    }

    @Test
    void a_run_without_a_figure_that_is_asked_for_neither_meets_nor_misses() {
        Run whole = run("Alpha", 1, 20, 6, 90);
        Run downloadOnly = new Run("Alpha", 2, Map.of(Figure.DOWN_MBPS, 20.0));
        Run failed = new Run("Alpha", 3, Map.of());
        NeedRecord record = NeedRecord.of(CALLS, List.of(whole.judged(), downloadOnly.judged(), failed.judged()));
        assertEquals(new Met(2, 1), record.share());
        assertEquals(
                "one run failed altogether", record.shortfall().orElseThrow().sentence());
    }

    @Test
    void no_sentence_of_a_thousand_logs_contradicts_another() {
        Random random = new Random(20260905);
        int named = 0;
        for (int log = 0; log < 1_000; log++) {
            List<Run> runs = log(random);
            List<Comparison> pair = compared(runs);
            NeedComparison need = need(runs);
            OverallVerdict overall = OverallVerdict.of(pair, CALLS, need);
            List<String> said = new ArrayList<>();
            said.add(Headline.of(pair, overall));
            said.add(Tonight.sentence(pair, Optional.empty(), overall));
            pair.forEach(c -> said.add(c.sentence(overall)));
            Set<String> used = new LinkedHashSet<>();
            for (String text : said) {
                Matcher names = USE.matcher(text);
                while (names.find()) {
                    used.add(names.group(1));
                }
                if (overall.choice().setup().isPresent()) {
                    assertFalse(text.contains("less work"), log + ": " + text);
                }
            }
            assertTrue(used.size() <= 1, log + ": " + String.join(" | ", said));
            named += used.size();
            for (String setup : used) {
                assertTrue(overall.choice().isFor(setup), log + ": " + String.join(" | ", said));
                String other = setup.equals("Alpha") ? "Beta" : "Alpha";
                assertFalse(need.clearlyMore(other, setup).filter(other::equals).isPresent(), log + ": " + said);
            }
        }
        assertTrue(named > 300, named + " logs name a setup");
    }

    /** Two setups whose speeds, latencies and failures differ by chance, over 3 to 8 rounds of 1 to 3 runs. */
    private static List<Run> log(Random random) {
        List<Run> runs = new ArrayList<>();
        int rounds = 3 + random.nextInt(6);
        int each = 1 + random.nextInt(3);
        for (String setup : List.of("Alpha", "Beta")) {
            double up = Math.exp(random.nextGaussian() * 0.7 + Math.log(4));
            double loaded = Math.exp(random.nextGaussian() * 0.5 + Math.log(220));
            double fails = random.nextInt(4) == 0 ? random.nextDouble() : 0.02;
            for (int round = 1; round <= rounds; round++) {
                for (int i = 0; i < each; i++) {
                    double scatter = random.nextGaussian() * 0.3;
                    runs.add(
                            random.nextDouble() < fails
                                    ? new Run(setup, round, Map.of())
                                    : new Run(
                                            setup,
                                            round,
                                            Map.of(
                                                    Figure.DOWN_MBPS, up * 2.5 * Math.exp(scatter),
                                                    Figure.UP_MBPS, up * Math.exp(scatter),
                                                    Figure.UP_LOADED_MS, loaded * Math.exp(-scatter),
                                                    Figure.RSRP_DBM, -95 + random.nextGaussian() * 6)));
                }
            }
        }
        return runs;
    }
}
