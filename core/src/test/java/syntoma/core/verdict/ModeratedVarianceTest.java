package syntoma.core.verdict;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import syntoma.core.reading.Figure;
import syntoma.core.run.CappedSetups;
import syntoma.core.trial.Sample;
import syntoma.core.verdict.ModeratedVariance.PastSpread;

class ModeratedVarianceTest {
    @Test
    void under_three_past_trials_nothing_is_borrowed() {
        assertEquals(
                Optional.empty(),
                ModeratedVariance.from(List.of(new PastSpread(0.1, 4, 0.2), new PastSpread(0.2, 4, 0.2))));
        assertThrows(IllegalArgumentException.class, () -> new PastSpread(0, 4, 0));
        assertThrows(IllegalArgumentException.class, () -> new PastSpread(0.1, 1, 0));
    }

    /** Variances that differ no more than chance has them differ are one: the weight is the largest allowed. */
    @Test
    void trials_that_agree_weigh_the_most() {
        ModeratedVariance borrowed = ModeratedVariance.from(
                        List.of(new PastSpread(0.09, 4, 0), new PastSpread(0.09, 4, 0), new PastSpread(0.09, 4, 0)))
                .orElseThrow();
        // but never more than there are trials, and never more than ten
        assertEquals(3, borrowed.degrees());
        assertEquals(3, borrowed.trials());
        assertEquals(
                10,
                ModeratedVariance.from(Collections.nCopies(12, new PastSpread(0.09, 4, 0)))
                        .orElseThrow()
                        .degrees());
        // ln s₀² = ln 0.09 − ψ(2) + ln 2, with ψ(2) = 1 − 0.5772
        assertEquals(Math.sqrt(0.09 * Math.exp(-0.42278 + Math.log(2))), borrowed.sd(), 1e-4);
    }

    /** Drawn from the model itself: σ² = d₀ s₀² / χ²(d₀), s² = σ² χ²(d) / d. */
    @Test
    void what_the_trials_were_drawn_from_is_found_again() {
        Random random = new Random(5);
        List<PastSpread> past = new ArrayList<>();
        for (int i = 0; i < 4000; i++) {
            double sigma2 = 6 * 0.3 * 0.3 / chiSquared(6, random);
            past.add(new PastSpread(sigma2 * chiSquared(4, random) / 4, 4, 0));
        }
        ModeratedVariance borrowed = ModeratedVariance.from(past).orElseThrow();
        assertEquals(6, borrowed.degrees(), 0.8);
        assertEquals(0.3, borrowed.sd(), 0.01);
    }

    /** Means of 5 rounds with the variance 0.1 of true effects with the standard deviation 0.5: moments find 0.5 again. */
    @Test
    void from_eight_past_trials_on_they_tell_how_large_effects_are() {
        Random random = new Random(6);
        List<PastSpread> past = new ArrayList<>();
        for (int i = 0; i < 4000; i++) {
            double mean = 0.5 * random.nextGaussian() + Math.sqrt(0.1 / 5) * random.nextGaussian();
            past.add(new PastSpread(0.1, 4, mean));
        }
        assertEquals(0.5, ModeratedVariance.from(past).orElseThrow().effectSd().orElseThrow(), 0.02);
        assertEquals(
                Optional.empty(),
                ModeratedVariance.from(past.subList(0, 7)).orElseThrow().effectSd());
    }

    private static double chiSquared(int degrees, Random random) {
        double sum = 0;
        for (int i = 0; i < degrees; i++) {
            double z = random.nextGaussian();
            sum += z * z;
        }
        return sum;
    }

    /** s̃² = (d₀ s₀² + d s²) / (d₀ + d), with d₀ + d degrees of freedom. */
    @Test
    void a_trial_leans_on_the_past_by_its_weight() {
        double[] differences = {0.4, 0.7, 1.0};
        Effect alone = new Spread(0.02, Optional.empty()).effect(differences);
        assertEquals(0.3, alone.sd().orElseThrow(), 1e-12);
        Effect leaning =
                new Spread(0.02, Optional.of(new ModeratedVariance(4, 6, 0.2, Optional.empty()))).effect(differences);
        assertEquals(Math.sqrt((6 * 0.04 + 2 * 0.09) / 8), leaning.sd().orElseThrow(), 1e-12);
        assertEquals(8, leaning.degrees());
        assertTrue(leaning.half(0.05) < alone.half(0.05));
    }

    @Test
    void a_planned_trial_says_that_its_spread_is_steadied() {
        List<Sample> samples = new ArrayList<>(VerdictTest.rounds("A", "", 4.1, 3.6, 4.4));
        samples.addAll(VerdictTest.rounds("B", "", 7.9, 6.1, 9.0));
        Plan plan = new Plan(3, Optional.of(new ModeratedVariance(4, 6, 0.2, Optional.empty())));
        Comparison c = new Comparer(Figure.UP_MBPS, samples, Optional.of(plan), CappedSetups.NONE).pair("A", "B");
        assertTrue(new JudgingRules(true, 1, 0, 0)
                .sentences(c)
                .contains("The run-to-run scatter is estimated with the help of four earlier trials."));
        assertEquals(
                Optional.of(2),
                Comparer.unplanned(Figure.UP_MBPS, samples)
                        .spread(List.of("A", "B"))
                        .map(PastSpread::degrees));
    }
}
