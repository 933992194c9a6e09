package syntoma.core.trial;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.time.Instant;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Test;

class BlocksTest {
    private static final Instant START = Instant.parse("2026-07-10T10:00:00Z");

    static Sample at(int minute, String sim, String setup, boolean ok, double value) {
        return new Sample(
                START.plusSeconds(60L * minute),
                1,
                sim,
                setup,
                "",
                OptionalInt.empty(),
                "",
                ok,
                ok ? OptionalDouble.of(value) : OptionalDouble.empty());
    }

    @Test
    void a_window_takes_the_sixtieth_minute_and_no_more() {
        List<Block> blocks = Blocks.forMetric(
                List.of(at(0, "Ostrel", "A", true, 1), at(60, "Ostrel", "B", true, 1), at(61, "Ostrel", "A", true, 1)));
        assertEquals(List.of(2, 1), blocks.stream().map(b -> b.samples().size()).toList());
    }

    @Test
    void sims_do_not_share_a_window() {
        assertEquals(
                2,
                Blocks.forMetric(List.of(at(0, "Ostrel", "A", true, 1), at(1, "Brissa", "B", true, 1)))
                        .size());
    }

    @Test
    void a_failure_opens_no_window_of_a_metric_but_one_of_outcomes() {
        List<Sample> samples = List.of(at(0, "Ostrel", "A", false, 0), at(5, "Ostrel", "B", true, 3));
        assertEquals(1, Blocks.forMetric(samples).get(0).samples().size());
        assertEquals(2, Blocks.forOutcomes(samples).get(0).samples().size());
    }

    @Test
    void a_trial_round_is_a_block_per_sim_however_long_it_took() {
        List<Sample> samples = List.of(round(0, "Ostrel", 1), round(200, "Ostrel", 1), round(10, "Brissa", 1));
        assertEquals(2, Blocks.forMetric(samples).size());
    }

    private static Sample round(int minute, String sim, int round) {
        Sample s = at(minute, sim, "A", true, 1);
        return new Sample(
                s.takenAt(), s.stay(), sim, "A", "evening", OptionalInt.of(round), "", true, OptionalDouble.of(1));
    }

    @Test
    void stays_end_with_another_campsite_or_after_72_hours() {
        StaySpans spans = new StaySpans();
        spans.add(1, START);
        spans.add(1, START.plusSeconds(72 * 3600));
        spans.add(1, START.plusSeconds(144 * 3600 + 1));
        spans.add(2, START.plusSeconds(145 * 3600));
        spans.add(1, START.plusSeconds(146 * 3600));
        assertEquals(
                List.of(1L, 1L, 2L, 1L),
                spans.inOrder().stream().map(StaySpans.Span::campsite).toList());
        assertEquals(START.plusSeconds(72 * 3600), spans.inOrder().get(0).to());
    }

    @Test
    void stays_are_the_same_told_from_either_end() {
        Random random = new Random(3);
        StaySpans onward = new StaySpans();
        StaySpans back = new StaySpans();
        List<Long> hours = random.longs(60, 0, 3_000).sorted().boxed().toList();
        List<Integer> sites = random.ints(60, 1, 3).boxed().toList();
        for (int i = 0; i < hours.size(); i++) {
            int other = hours.size() - 1 - i;
            onward.add(sites.get(i), START.plusSeconds(hours.get(i) * 3600));
            back.add(sites.get(other), START.plusSeconds(hours.get(other) * 3600));
        }
        assertEquals(onward.inOrder(), back.inOrder());
    }

    @Test
    void outcomes_are_read_by_their_names() {
        assertEquals(Outcome.NO_SERVICE, Outcome.fromLabel("no service"));
        assertThrows(IllegalArgumentException.class, () -> Outcome.fromLabel("fine"));
    }
}
