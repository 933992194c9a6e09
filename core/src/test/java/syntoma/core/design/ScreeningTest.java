package syntoma.core.design;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import syntoma.core.design.FollowingTrial.TriedSetup;
import syntoma.core.need.Met;
import syntoma.core.need.NeedRecord;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Sample;
import syntoma.core.verdict.Comparer;
import syntoma.core.verdict.Comparison;
import syntoma.core.verdict.NeedComparison;

class ScreeningTest {
    private final Random random = new Random(11);

    @Test
    void with_nothing_between_them_each_is_as_likely_to_go_on() {
        assertEquals(4 / 9.0, Screening.chance(9, 0, 0.3), 0.001);
        assertEquals(4 / 16.0, Screening.chance(16, 0, 0.3), 0.001);
    }

    @Test
    void the_chance_is_what_drawing_gives() {
        for (int contenders : new int[] {9, 12, 16}) {
            int kept = 0;
            int draws = 20_000;
            for (int i = 0; i < draws; i++) {
                double best = 0.336 + 0.25 * random.nextGaussian();
                long better = IntStream.range(1, contenders)
                        .filter(other -> 0.25 * random.nextGaussian() > best)
                        .count();
                kept += better < Screening.KEPT ? 1 : 0;
            }
            assertEquals((double) kept / draws, Screening.chance(contenders, 0.336, 0.25), 0.01, contenders + "");
        }
    }

    @Test
    void rounds_are_the_fewest_that_keep_the_best_nine_times_in_ten() {
        int rounds = Screening.rounds(16, Math.log(1.4), 0.36, 1).orElseThrow();
        assertTrue(Screening.chance(16, Math.log(1.4), 0.36 / Math.sqrt(rounds)) >= 0.9);
        assertTrue(Screening.chance(16, Math.log(1.4), 0.36 / Math.sqrt(rounds - 1.0)) < 0.9);
        assertTrue(Screening.rounds(16, Math.log(1.05), 0.6, 1).isEmpty(), "no twenty rounds show so little");
    }

    /** Three rounds in which each makes its own speed times what the hour allows. */
    private List<Sample> measured(double[] speeds, int failing) {
        List<Sample> samples = new ArrayList<>();
        for (int round = 1; round <= 3; round++) {
            for (int i = 0; i < speeds.length; i++) {
                boolean ok = i != failing || round == 1;
                samples.add(new Sample(
                        Instant.parse("2026-08-20T10:00:00Z").plusSeconds(3600L * round + 60L * i),
                        1,
                        "Tarnwave",
                        "S" + i,
                        "All",
                        OptionalInt.of(round),
                        "",
                        ok,
                        ok ? OptionalDouble.of(speeds[i] * (3 + round)) : OptionalDouble.empty()));
            }
        }
        return samples;
    }

    private static List<TriedSetup> tried(int count) {
        return IntStream.range(0, count)
                .mapToObj(i -> new TriedSetup("S" + i, "Tarnwave", Optional.empty()))
                .toList();
    }

    private List<Comparison> against(double[] speeds, int failing) {
        Comparer comparer = Comparer.unplanned(Figure.UP_MBPS, measured(speeds, failing));
        return IntStream.range(1, speeds.length)
                .mapToObj(i -> comparer.pair("S0", "S" + i))
                .toList();
    }

    @Test
    void the_best_four_go_on_beside_the_baseline_and_one_that_fails_does_not() {
        double[] speeds = {1, 1.2, 3, 0.8, 2, 0.5, 2.5, 0.9, 9, 1.5};
        FollowingTrial next = Screening.after(tried(10), against(speeds, 8), NeedComparison.NONE)
                .orElseThrow();
        assertEquals(
                List.of("S0", "S2", "S6", "S4", "S9"),
                next.choices().stream().map(Template.Choice::setup).toList());
        assertTrue(
                next.says().contains("screens 10 setups. Compared with S0 these did best: S2 (×3.00), S6"),
                next.says());
    }

    @Test
    void one_that_met_the_need_clearly_less_often_goes_behind_the_others_however_fast() {
        double[] speeds = {1, 1.2, 9, 0.8, 2, 0.5, 2.5, 0.9, 1.1, 1.5};
        Map<String, NeedRecord> records = new HashMap<>();
        for (int i = 0; i < 10; i++) {
            records.put("S" + i, new NeedRecord(new Met(12, i == 2 ? 0 : 10), Optional.empty()));
        }
        NeedComparison need = new NeedComparison("Video calls", records, List.of());
        FollowingTrial next =
                Screening.after(tried(10), against(speeds, -1), need).orElseThrow();
        assertEquals(
                List.of("S0", "S6", "S4", "S9", "S1"),
                next.choices().stream().map(Template.Choice::setup).toList());
        assertTrue(next.says().contains("S6 (10 of 12 runs met Video calls, ×2.50), S4"), next.says());
    }

    @Test
    void of_eight_nothing_is_screened() {
        double[] speeds = {1, 1.2, 3, 0.8, 2, 0.5, 2.5, 0.9};
        assertTrue(Screening.after(tried(8), against(speeds, -1), NeedComparison.NONE)
                .isEmpty());
    }

    @Test
    void a_change_goes_on_with_the_setup_that_it_was_made_to() {
        Variation held = new Variation(Variation.Kind.BANDS, "B3");
        TriedSetup changed = new TriedSetup("Dome, " + held.phrase(), "Tarnwave", Optional.of(held));
        assertEquals(new Template.Choice("Dome", "Tarnwave", Optional.of(held)), changed.toChoice());
        assertTrue(changed.isCalled("Dome, " + held.phrase() + " on Tarnwave"));
    }
}
