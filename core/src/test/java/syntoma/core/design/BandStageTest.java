package syntoma.core.design;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Sample;
import syntoma.core.verdict.Comparer;
import syntoma.core.verdict.Comparison;

class BandStageTest {
    private static final String FREE = "Dome";

    private static FollowingTrial.TriedSetup held(String bands) {
        return new FollowingTrial.TriedSetup(
                FREE + ", " + bands + " alone", "Tarnwave", Optional.of(new Variation(Variation.Kind.BANDS, bands)));
    }

    private static final FollowingTrial.TriedSetup AUTOMATIC =
            new FollowingTrial.TriedSetup(FREE, "Tarnwave", Optional.empty());

    /** Three rounds in which each makes so much of what automatic does. */
    private static List<Comparison> measured(Figure metric, Map<String, Double> factors) {
        List<Sample> samples = new ArrayList<>();
        for (int round = 1; round <= 3; round++) {
            Instant at = Instant.parse("2026-08-20T10:00:00Z").plusSeconds(900L * round);
            samples.add(sample(round, at, FREE, 4 + round));
            for (Map.Entry<String, Double> other : factors.entrySet()) {
                samples.add(sample(round, at, FREE + ", " + other.getKey() + " alone", other.getValue() * (4 + round)));
            }
        }
        Comparer comparer = Comparer.unplanned(metric, samples);
        return factors.keySet().stream()
                .map(band -> comparer.pair(FREE, FREE + ", " + band + " alone"))
                .toList();
    }

    private static Sample sample(int round, Instant at, String setup, double value) {
        return new Sample(at, 1, "Tarnwave", setup, "Bands", OptionalInt.of(round), "", true, OptionalDouble.of(value));
    }

    private static List<String> bands(FollowingTrial stage) {
        return stage.choices().stream()
                .map(c -> c.variation().map(Variation::value).orElse("automatic"))
                .toList();
    }

    @Test
    void the_two_best_alone_are_tried_together_beside_automatic() {
        FollowingTrial stage = BandStage.after(
                        List.of(AUTOMATIC, held("B3"), held("B20"), held("B28")),
                        measured(Figure.UP_MBPS, Map.of("B3", 0.9, "B20", 1.4, "B28", 0.5)))
                .orElseThrow();
        assertEquals(List.of("automatic", "B20", "B20 + B3"), bands(stage));
        assertTrue(stage.says().startsWith("Alone, B20 (×1.40) and B3 (×0.90) did best"), stage.says());
    }

    @Test
    void a_third_that_is_no_worse_comes_along_and_of_a_latency_the_least_is_best() {
        FollowingTrial stage = BandStage.after(
                        List.of(AUTOMATIC, held("B3"), held("B20"), held("B28")),
                        measured(Figure.IDLE_MS, Map.of("B3", 0.80, "B20", 1.5, "B28", 0.9)))
                .orElseThrow();
        assertEquals(List.of("automatic", "B3", "B3 + B28"), bands(stage));
        FollowingTrial alike = BandStage.after(
                        List.of(AUTOMATIC, held("B3"), held("B20"), held("B28")),
                        measured(Figure.UP_MBPS, Map.of("B3", 1.3, "B20", 1.25, "B28", 1.2)))
                .orElseThrow();
        assertEquals(List.of("automatic", "B3", "B3 + B20", "B3 + B20 + B28"), bands(alike));
    }

    @Test
    void nothing_follows_on_other_trials() {
        Map<String, Double> two = Map.of("B3", 1.2, "B20", 1.1);
        assertTrue(BandStage.after(List.of(held("B3"), held("B20")), measured(Figure.UP_MBPS, two))
                .isEmpty());
        assertTrue(
                BandStage.after(
                                List.of(AUTOMATIC, held("B3"), held("B3 + B20")),
                                measured(Figure.UP_MBPS, Map.of("B3", 1.2)))
                        .isEmpty(),
                "the second stage has none of its own");
        assertTrue(
                BandStage.after(
                                List.of(AUTOMATIC, held("B3"), held("B20")),
                                measured(Figure.UP_MBPS, Map.of("B3", 1.2)))
                        .isEmpty(),
                "one band alone was measured");
    }
}
