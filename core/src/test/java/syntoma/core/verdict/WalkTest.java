package syntoma.core.verdict;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import syntoma.core.reading.Figure;

class WalkTest {
    private static final double STEP_S = 30;

    private static Walk.Mark mark(String place, int step, double value) {
        return new Walk.Mark(place, STEP_S * step, value, Optional.of("B20"));
    }

    private static Walk walk(Walk.Mark... marks) {
        return new Walk(Figure.RSRP_DBM, List.of(marks));
    }

    @Test
    void places_marked_in_turn_are_told_apart_by_the_paired_t_test() {
        Walk walk = walk(
                mark("window", 0, -90),
                mark("shelf", 1, -96),
                mark("window", 2, -91),
                mark("shelf", 3, -98),
                mark("window", 4, -89),
                mark("shelf", 5, -95));
        Walk.Against against = walk.differences().get(0);
        // differences 6, 7, 6: mean 6.333, SD 0.577, t(0.975; 2) 4.303, so that their own scatter gives ±1.434
        assertEquals(6.333, against.estimate().orElseThrow(), 1e-3);
        double half = against.high().orElseThrow() - against.estimate().orElseThrow();
        assertTrue(half >= 1.434 && half < 2.2, "half is " + half);
        assertEquals(Verdict.BETTER, against.verdict());
        assertEquals("Window: really better than shelf.", walk.headline());
        assertTrue(walk.sentence(against).startsWith("6.3 dB weaker than window’s: a real difference (from "));
    }

    @Test
    void under_three_marks_there_is_no_verdict() {
        Walk walk = walk(mark("window", 0, -90), mark("shelf", 1, -99), mark("window", 2, -90), mark("shelf", 3, -99));
        Walk.Against against = walk.differences().get(0);
        assertEquals(Verdict.TOO_FEW, against.verdict());
        assertEquals(OptionalDouble.empty(), against.low());
        assertEquals("9.0 dB weaker than window’s; a verdict takes three marks at each", walk.sentence(against));
        assertEquals(
                "Can’t tell yet which place is better: window reads best, and can’t be told from shelf.",
                walk.headline());
    }

    @Test
    void done_with_one_before_the_other_began_takes_more_to_tell() {
        List<Walk.Mark> marks = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            marks.add(mark("window", i, -90 + i % 2));
        }
        for (int i = 0; i < 5; i++) {
            marks.add(mark("shelf", 10 + i, -93 + i % 2));
        }
        Walk.Against against = new Walk(Figure.RSRP_DBM, marks).differences().get(0);
        // differences 3 without any scatter: by themselves surely beyond 2 dB; five minutes of fading say otherwise
        assertEquals(3, against.estimate().orElseThrow(), 1e-9);
        assertTrue(against.low().orElseThrow() < 0);
        assertEquals(Verdict.CANNOT_TELL, against.verdict());
        assertTrue(against.hasDrifted());
        assertTrue(new Walk(Figure.RSRP_DBM, marks).sentence(against).endsWith("next time go back and forth"));
    }

    @Test
    void places_that_are_alike_are_said_to_be_and_the_best_is_held_against_each() {
        List<Walk.Mark> marks = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            marks.add(mark("window", 3 * i, -90.2 + i % 2 * 0.4));
            marks.add(mark("seat", 3 * i + 1, -90 + i % 2 * 0.3));
            marks.add(mark("shelf", 3 * i + 2, -99 + i % 3));
        }
        Walk walk = new Walk(Figure.RSRP_DBM, marks);
        assertEquals(
                List.of(Verdict.NO_DIFFERENCE, Verdict.BETTER),
                walk.differences().stream().map(Walk.Against::verdict).toList());
        assertEquals(1 - 0.05 / 3, walk.differences().get(0).level(), 1e-12);
        assertEquals(
                "Seat: really better than shelf; no different from window by anything that matters.", walk.headline());
    }

    @Test
    void a_best_mean_that_is_behind_in_the_pairs_is_told_from_nothing() {
        List<Walk.Mark> marks = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            marks.add(mark("window", 2 * i, -100 + i % 2));
            marks.add(mark("shelf", 2 * i + 1, -95 + i % 2));
        }
        for (int i = 12; i < 24; i++) {
            marks.add(mark("window", i, -70));
        }
        Walk walk = new Walk(Figure.RSRP_DBM, marks);
        assertEquals("window", walk.places().get(0).name());
        assertEquals(Verdict.WORSE, walk.differences().get(0).verdict());
        assertTrue(walk.headline().startsWith("Can’t tell yet which place is better: window reads best"));
    }

    @Test
    void marks_on_other_bands_make_no_pair() {
        Walk walk = walk(
                mark("window", 0, -90),
                new Walk.Mark("shelf", 30, -70, Optional.of("B3")),
                new Walk.Mark("seat", 60, -91, Optional.empty()));
        assertEquals(
                List.of("shelf", "window", "seat"),
                walk.places().stream().map(Walk.Place::name).toList());
        assertEquals(
                List.of(0, 1),
                walk.differences().stream().map(Walk.Against::pairs).toList());
        assertEquals(
                "heard on different bands from shelf, so their levels do not compare the places",
                walk.sentence(walk.differences().get(0)));
        assertEquals("Nothing was marked.", walk().headline());
    }

    @Test
    void what_fading_hides_is_its_whole_variance_where_nothing_of_it_is_seen() {
        // two places far apart in time, each marked in one instant: Var = 2 · 9 (1 − e^−1)
        double[] one = {0, 0, 0};
        double[] other = {600, 600, 600};
        assertEquals(18 * (1 - Math.exp(-1)), Fading.unseen(one, other), 1e-9);
        // pairs far from each other in time: their scatter shows all of it
        assertEquals(0, Fading.unseen(new double[] {0, 1e6, 2e6}, new double[] {30, 1e6 + 30, 2e6 + 30}), 1e-9);
    }

    /** Two places that hear alike, in a fading world: how often one is said to be better. */
    private static double falseClaims(boolean inTurn, int marks) {
        Random random = new Random(20_261_126);
        int wrong = 0;
        int walks = 4_000;
        for (int w = 0; w < walks; w++) {
            List<Walk.Mark> all = new ArrayList<>();
            double fading = Fading.SD_DB * random.nextGaussian();
            double kept = Math.exp(-STEP_S / Fading.MEMORY_S);
            for (int step = 0; step < 2 * marks; step++) {
                boolean first = inTurn ? step % 2 == 0 : step < marks;
                all.add(mark(first ? "one" : "other", step, -95 + fading + random.nextGaussian()));
                fading = kept * fading + Math.sqrt(1 - kept * kept) * Fading.SD_DB * random.nextGaussian();
            }
            Verdict verdict =
                    new Walk(Figure.RSRP_DBM, all).differences().get(0).verdict();
            wrong += verdict == Verdict.BETTER || verdict == Verdict.SLIGHTLY_BETTER ? 1 : 0;
        }
        return (double) wrong / walks;
    }

    @Test
    void places_that_hear_alike_are_rarely_told_apart_in_whatever_order_they_were_marked() {
        for (int marks : new int[] {3, 6, 12}) {
            assertTrue(falseClaims(true, marks) <= 0.055, "in turn, " + marks + ": " + falseClaims(true, marks));
            assertTrue(falseClaims(false, marks) <= 0.055, "in a row, " + marks + ": " + falseClaims(false, marks));
        }
    }
}
