package syntoma.core.run;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import syntoma.core.need.BuiltInNeeds;
import syntoma.core.need.Need;
import syntoma.core.reading.Figure;

class RunTest {
    private static Rates rates(double... mbps) {
        return new Rates(java.util.Arrays.stream(mbps).boxed().toList());
    }

    private static Rates steady(double mbps, int samples) {
        return new Rates(IntStream.range(0, samples).mapToObj(i -> mbps).toList());
    }

    @Test
    void the_ramp_ends_where_the_slope_over_a_second_is_under_a_tenth() {
        // 9, 10, 10, 10, 10: slope 0.2 a sample, 0.8 Mb/s a second, 8.2 % of 9.8; from 5 on it is 1.1 a sample, 50 %
        Rates rates = rates(1, 5, 9, 10, 10, 10, 10);
        assertEquals(OptionalInt.of(2), rates.ramp());
        assertEquals(List.of(9.0, 10.0, 10.0, 10.0, 10.0), rates.steady());
        assertEquals(10, rates.median().orElseThrow());
    }

    @Test
    void a_bucket_that_empties_first_is_dropped_too() {
        assertEquals(8, rates(60, 58, 61, 30, 8, 8, 8, 8, 8, 8).median().orElseThrow());
    }

    @Test
    void the_ramp_takes_three_seconds_at_most() {
        Rates growing =
                new Rates(IntStream.range(0, 20).mapToObj(i -> Math.pow(1.2, i)).toList());
        assertEquals(OptionalInt.of(12), growing.ramp());
        assertEquals(OptionalInt.empty(), new Rates(growing.mbps().subList(0, 12)).ramp());
        assertEquals(OptionalDouble.empty(), rates(1, 2, 4).median());
    }

    @Test
    void what_moved_nothing_has_no_rate() {
        assertEquals(OptionalDouble.empty(), steady(0, 30).median());
        assertEquals(OptionalDouble.empty(), rates().median());
    }

    @Test
    void flat_is_a_variation_under_four_percent() {
        // ±3 about 100 in turn: SD 3·√(10/9) = 3.16 %; ±4: 4.2 %
        assertTrue(alternating(100, 3).isFlat());
        assertFalse(alternating(100, 4).isFlat());
        assertFalse(steady(50, 7).isFlat(), "too short to say");
        assertEquals(0.0316, alternating(100, 3).variation().orElseThrow(), 0.0001);
    }

    private static Rates alternating(double mbps, double by) {
        return new Rates(IntStream.range(0, 10)
                .mapToObj(i -> mbps + (i % 2 == 0 ? by : -by))
                .toList());
    }

    @Test
    void a_steady_rate_is_known_at_once_and_a_wild_one_is_not() {
        assertTrue(steady(20, 6).isKnownWithin(0.1));
        assertFalse(steady(20, 5).isKnownWithin(0.1));
        assertFalse(rates(10, 14, 10, 14, 10, 14, 10, 14, 10, 14).isKnownWithin(0.1));
        // a slow wander is fewer samples than it has
        assertFalse(rates(10, 10, 10, 10, 10, 10.9, 11.8, 12, 12, 12, 12, 12).isKnownWithin(0.05));
    }

    @Test
    void where_it_says_known_the_median_is_near_the_truth() {
        Random random = new Random(7);
        int right = 0;
        int said = 0;
        for (int run = 0; run < 2_000; run++) {
            List<Double> mbps = new ArrayList<>();
            while (mbps.size() < 48) {
                mbps.add(20 * Math.exp(0.08 * random.nextGaussian()));
            }
            int at = 6;
            while (at < mbps.size() && !new Rates(mbps.subList(0, at)).isKnownWithin(0.1)) {
                at++;
            }
            if (at < mbps.size()) {
                said++;
                right += Math.abs(new Rates(mbps.subList(0, at)).median().orElseThrow() / 20 - 1) <= 0.1 ? 1 : 0;
            }
        }
        assertTrue(said > 1_900, said + " of 2,000 ended early");
        assertTrue(right >= 0.95 * said, right + " of " + said + " were within a tenth");
    }

    @Test
    void latencies_have_a_median_an_upper_end_and_a_jitter() {
        Latencies seen = new Latencies(List.of(40.0, 50.0, 42.0, 44.0), 1);
        assertEquals(43, seen.median().orElseThrow());
        assertEquals(49.1, seen.p95().orElseThrow(), 1e-9);
        // |10| + |8| + |2| over 3
        assertEquals(20.0 / 3, seen.jitter().orElseThrow(), 1e-9);
        assertEquals(OptionalDouble.empty(), new Latencies(List.of(1.0), 0).jitter());
    }

    @ParameterizedTest
    @CsvSource({"30,89,SMALL", "30,90,NOTICEABLE", "30,230,CALLS_SUFFER", "30,430,CALLS_BREAK", "30,20,SMALL"})
    void the_rise_is_named(double idle, double loaded, LatencyRise rise) {
        assertEquals(rise, LatencyRise.of(idle, loaded));
    }

    @Test
    void a_full_run_is_never_enough_before_its_time_and_a_light_one_when_it_knows() {
        assertFalse(RunKind.FULL.isEnough(steady(20, 40), 10_000, 25_000_000));
        assertTrue(RunKind.FULL.isEnough(steady(20, 48), 12_000, 30_000_000));
        assertTrue(RunKind.LIGHT.isEnough(steady(20, 6), 1_500, 3_750_000));
        Rates wild = rates(10, 14, 10, 14, 10, 14, 10, 14, 10, 14, 10, 14, 10, 14, 10, 14);
        assertTrue(RunKind.LIGHT.isEnough(wild, 4_000, 6_000_000));
        assertFalse(RunKind.LIGHT.isEnough(wild, 4_000, 1_000_000), "a slow link goes on to 1.5 MB");
        assertTrue(RunKind.LIGHT.isEnough(wild, 12_000, 1_000_000));
    }

    @Test
    void kinds_are_known_by_name() {
        assertEquals(RunKind.LIGHT, RunKind.fromLabel("light"));
        assertTrue(assertThrows(IllegalArgumentException.class, () -> RunKind.fromLabel("quick"))
                .getMessage()
                .contains("full, light, latency"));
    }

    private static Cap.FlatRun flat(double mbps, String setup, long stay, double sinr) {
        return new Cap.FlatRun(mbps, setup, stay, OptionalDouble.of(sinr));
    }

    @Test
    void three_flat_runs_that_agree_whatever_the_antenna_are_a_cap() {
        Optional<Cap> cap = Cap.of(
                List.of(flat(61.5, "A", 1, 10), flat(62, "B", 1, 11), flat(62.8, "A", 1, 10), flat(40, "A", 1, 9)));
        assertEquals(62, cap.orElseThrow().mbps());
        assertTrue(cap.get().holds(61.5) && !cap.get().holds(40));
    }

    @Test
    void flat_runs_of_one_setup_at_one_stay_are_no_cap_unless_the_sinr_differs() {
        assertEquals(
                Optional.empty(), Cap.of(List.of(flat(62, "A", 1, 10), flat(62, "A", 1, 11), flat(62, "A", 1, 12))));
        assertTrue(Cap.of(List.of(flat(62, "A", 1, 10), flat(62, "A", 1, 11), flat(62, "A", 1, 15)))
                .isPresent());
        assertTrue(Cap.of(List.of(flat(62, "A", 1, 10), flat(62, "A", 2, 10), flat(62, "A", 1, 10)))
                .isPresent());
        assertEquals(Optional.empty(), Cap.of(List.of(flat(62, "A", 1, 10), flat(62, "B", 2, 20))), "two are too few");
        assertEquals(
                Optional.empty(), Cap.of(List.of(flat(60, "A", 1, 10), flat(62, "B", 1, 11), flat(64, "A", 1, 10))));
    }

    private static List<LoadedLatency.Probe> probes(double ms, int count) {
        return IntStream.range(0, count)
                .mapToObj(i -> new LoadedLatency.Probe(100.0 * i, ms))
                .toList();
    }

    @Test
    void probes_of_the_ramp_do_not_count_as_load() {
        List<LoadedLatency.Probe> asked = new ArrayList<>(probes(30, 5));
        asked.add(new LoadedLatency.Probe(600, 100));
        asked.add(new LoadedLatency.Probe(800, Double.NaN));
        LoadedLatency seen = LoadedLatency.of(rates(1, 5, 9, 10, 10, 10, 10), asked);
        assertEquals(new Latencies(List.of(100.0), 1), seen.latencies());
    }

    @Test
    void a_run_says_what_it_measured_and_whether_it_is_enough() {
        RunResult result = RunResult.of(
                RunKind.FULL,
                probes(38, 10),
                Map.of(
                        Direction.DOWN,
                        LoadedLatency.of(steady(31.42, 20), probes(90, 9)),
                        Direction.UP,
                        LoadedLatency.of(alternating(12, 2), probes(290, 10))));
        assertEquals(
                Map.of(
                        Figure.DOWN_MBPS, 31.42,
                        Figure.UP_MBPS, 12.0,
                        Figure.IDLE_MS, 38.0,
                        Figure.JITTER_MS, 0.0,
                        Figure.DOWN_LOADED_MS, 90.0,
                        Figure.UP_LOADED_MS, 290.0,
                        Figure.LOSS_PCT, 0.0),
                result.figures());
        assertEquals(Map.of(Direction.DOWN, true, Direction.UP, false), result.flat());
        List<Need> calls = BuiltInNeeds.all().stream()
                .filter(n -> n.name().equals("Video calls"))
                .toList();
        assertEquals(
                "12.0 Mb/s up, 31.4 Mb/s down; latency is 38 ms, 290 ms while uploading (calls suffer). Not enough for"
                        + " Video calls: latency while uploading has to be at most 250 ms.",
                result.sentence(calls));
        assertFalse(result.sentence(List.of()).contains("nough"));
        assertTrue(result.isOfUse(RunKind.FULL));
    }

    @Test
    void what_was_not_measured_is_not_there() {
        RunResult broken = RunResult.of(
                RunKind.FULL, probes(38, 4), Map.of(Direction.DOWN, LoadedLatency.of(rates(3), List.of())));
        assertEquals(Map.of(Figure.LOSS_PCT, 0.0), broken.figures());
        assertFalse(broken.isOfUse(RunKind.FULL));
        RunResult slow = RunResult.of(
                RunKind.LATENCY, probes(38, 20), Map.of(Direction.UP, LoadedLatency.of(steady(0.7, 9), probes(60, 9))));
        assertEquals(Optional.empty(), slow.get(Figure.UP_MBPS));
        assertTrue(slow.isOfUse(RunKind.LATENCY));
        assertTrue(slow.sentence(BuiltInNeeds.all())
                .startsWith("Latency is 38 ms, 60 ms while uploading (a small rise)."));
    }

    @Test
    void a_setup_is_held_when_more_than_half_of_its_runs_are() {
        List<Cap.FlatRun> flat = List.of(flat(62, "A", 1, 10), flat(62.4, "B", 1, 11), flat(61.8, "A", 1, 10));
        CappedSetups held = CappedSetups.of(flat, Map.of("A", 3, "B", 2, "C", 4));
        assertEquals(OptionalDouble.empty(), held.commonCap("A", "B"), "one of two of B is not more than half");
        held = CappedSetups.of(flat, Map.of("A", 3, "B", 1, "C", 4));
        assertEquals(62, held.commonCap("A", "B").orElseThrow());
        assertEquals(OptionalDouble.empty(), held.commonCap("A", "C"));
        assertEquals(CappedSetups.NONE, CappedSetups.of(List.of(), Map.of("A", 3)));
    }
}
