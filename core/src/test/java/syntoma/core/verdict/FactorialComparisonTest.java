package syntoma.core.verdict;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Test;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Sample;

class FactorialComparisonTest {
    private static final FactorialComparison GRID = new FactorialComparison(
            "the device",
            List.of("Curlew", "Plover"),
            "the antennas",
            List.of("own antennas", "Alder"),
            List.of(List.of("C0", "P0"), List.of("CA", "PA")));

    /** Uploads of rounds, one of each cell: C0, P0, CA, PA. */
    private static List<Sample> samples(double[][] rounds) {
        String[] setups = {"C0", "P0", "CA", "PA"};
        List<Sample> samples = new ArrayList<>();
        for (int round = 0; round < rounds.length; round++) {
            for (int i = 0; i < setups.length; i++) {
                samples.add(new Sample(
                        Instant.parse("2026-08-01T10:00:00Z").plusSeconds(600L * round + 60L * i),
                        1,
                        "Tarnwave",
                        setups[i],
                        "Grid",
                        OptionalInt.of(round + 1),
                        "",
                        true,
                        OptionalDouble.of(rounds[round][i])));
            }
        }
        return samples;
    }

    private static double[][] rounds(int n, double curlewGain, double ploverGain, double scatter, long seed) {
        Random random = new Random(seed);
        double[][] rounds = new double[n][];
        for (int i = 0; i < n; i++) {
            double block = 10 * Math.exp(0.5 * random.nextGaussian());
            rounds[i] = new double[] {
                block * Math.exp(scatter * random.nextGaussian()),
                0.5 * block * Math.exp(scatter * random.nextGaussian()),
                curlewGain * block * Math.exp(scatter * random.nextGaussian()),
                0.5 * ploverGain * block * Math.exp(scatter * random.nextGaussian())
            };
        }
        return rounds;
    }

    private static FactorialComparison.FigureEffects judge(double[][] rounds) {
        return GRID.judge(Figure.UP_MBPS, samples(rounds), Optional.of(new Plan(rounds.length, Optional.empty())))
                .orElseThrow();
    }

    @Test
    void a_mean_effect_is_the_mean_of_the_contrasts_of_the_rounds() {
        // ln: antennas (ln 2 + ln 1)/2 = 0.3466 in each round, device ((ln .5) + (ln .25))/2
        double[][] rounds = {{4, 2, 8, 2}, {6, 3, 12, 3}, {5, 2.5, 10, 2.5}};
        FactorialComparison.FigureEffects said = judge(rounds);
        assertEquals(3, said.rounds());
        assertEquals(Math.sqrt(2), said.main().get(0).estimate(), 1e-9);
        assertEquals(Math.sqrt(0.125), said.main().get(1).estimate(), 1e-9);
        assertEquals(2, said.effectsWithin().get(0).estimate(), 1e-9);
        assertEquals(1, said.effectsWithin().get(1).estimate(), 1e-9);
        assertTrue(said.isInteraction(), "twice on the one, the same on the other");
        // three contrasts are one family: 1 − .05/3
        assertEquals(1 - 0.05 / 3, said.level(), 1e-9);
    }

    @Test
    void where_it_depends_each_is_said_and_where_to_look() {
        FactorialComparison.FigureEffects said = judge(rounds(8, 1.8, 0.6, 0.1, 1));
        assertTrue(said.isInteraction());
        assertTrue(
                said.sentence()
                        .startsWith(
                                "What the antennas do to your upload depends on the device: on Curlew, Alder brings ×1."),
                said.sentence());
        assertTrue(said.sentence().endsWith("Look at the leads of Alder on Plover."), said.sentence());
    }

    @Test
    void where_it_does_not_one_figure_is_said_for_all() {
        FactorialComparison.FigureEffects said = judge(rounds(8, 1.6, 1.6, 0.1, 2));
        assertFalse(said.isInteraction());
        assertTrue(
                said.sentence().contains("Alder brings ×1.6 the upload of own antennas, whichever device."),
                said.sentence());
    }

    @Test
    void a_round_that_lacks_a_cell_is_left_out_and_two_say_nothing() {
        double[][] rounds = rounds(3, 1.6, 1.6, 0.1, 3);
        List<Sample> samples = samples(rounds);
        assertTrue(GRID.judge(Figure.UP_MBPS, samples.subList(0, 11), Optional.empty())
                .isEmpty());
    }

    @Test
    void nothing_is_claimed_to_depend_where_it_does_not() {
        int claimed = 0;
        for (int seed = 0; seed < 300; seed++) {
            FactorialComparison.FigureEffects said = GRID.judge(
                            Figure.UP_MBPS, samples(rounds(6, 1, 1, 0.25, seed)), Optional.empty())
                    .orElseThrow();
            boolean main = said.main().stream()
                    .anyMatch(e -> e.factor().equals("the antennas")
                            && e.verdict() != Verdict.CANNOT_TELL
                            && e.verdict() != Verdict.NO_DIFFERENCE);
            claimed += main || said.isInteraction() ? 1 : 0;
        }
        // of one look at 5 %, with three standard errors of 300
        assertTrue(claimed <= 300 * (0.05 + 3 * 0.0126), claimed + " of 300");
    }
}
