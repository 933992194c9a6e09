package syntoma.core.design;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NoiseTest {
    // sqrt(2 (0.2² + c 0.3²)) with c = 1, .5, .449, .298, .287
    @ParameterizedTest
    @CsvSource({"1, 0.5099", "2, 0.4123", "3, 0.4010", "4, 0.3656", "5, 0.3628"})
    void a_round_scatters_less_with_more_runs_at_a_visit(int runs, double sd) {
        assertEquals(sd, Noise.USUAL.ofRound(runs), 5e-5);
    }

    /** Rounds of two setups with the scatter that is asked for. */
    private static List<Noise.Round> rounds(int rounds, int runs, double run, double visit, Random random) {
        List<Noise.Round> made = new ArrayList<>();
        for (int i = 0; i < rounds; i++) {
            double drift = random.nextGaussian();
            made.add(new Noise.Round(Map.of(
                    "A", visit(drift, runs, run, visit, random), "B", visit(drift + 0.5, runs, run, visit, random))));
        }
        return made;
    }

    private static List<Double> visit(double level, int runs, double run, double visit, Random random) {
        double own = level + visit * random.nextGaussian();
        List<Double> values = new ArrayList<>();
        for (int i = 0; i < runs; i++) {
            values.add(own + run * random.nextGaussian());
        }
        return values;
    }

    @Test
    void is_found_again_in_a_log_whatever_drifts_from_round_to_round() {
        Random random = new Random(5);
        List<List<Noise.Round>> trials = new ArrayList<>();
        for (int i = 0; i < 300; i++) {
            trials.add(rounds(6, 3, 0.25, 0.15, random));
        }
        Noise noise = Noise.of(trials).noise();
        assertEquals(0.25, noise.run(), 0.015);
        assertEquals(0.15, noise.visit(), 0.03);
    }

    @Test
    void with_one_run_at_a_visit_the_whole_of_it_is_found_and_shared_as_usual() {
        Random random = new Random(6);
        List<List<Noise.Round>> trials = new ArrayList<>();
        for (int i = 0; i < 300; i++) {
            trials.add(rounds(6, 1, 0.25, 0.15, random));
        }
        Noise noise = Noise.of(trials).noise();
        assertEquals(Math.sqrt(2 * (0.25 * 0.25 + 0.15 * 0.15)), noise.ofRound(1), 0.03);
        assertEquals(1.5, noise.run() / noise.visit(), 0.01);
    }

    @Test
    void one_wild_run_changes_little() {
        Random random = new Random(8);
        List<List<Noise.Round>> trials = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            trials.add(rounds(6, 1, 0.25, 0.15, random));
        }
        double before = Noise.of(trials).noise().ofRound(1);
        trials.get(0).set(2, new Noise.Round(Map.of("A", List.of(0.0), "B", List.of(3.5))));
        assertEquals(before, Noise.of(trials).noise().ofRound(1), 0.15);
    }

    /** σ_v by d₀ = 12, σ_w by d₀ = 20 (docs/methods.md#8-trial-design). */
    @Test
    void a_short_log_moves_the_usual_values_as_far_as_it_weighs() {
        assertEquals(Noise.USUAL, Noise.of(List.of()).noise());
        // two rounds of one run each: one degree of freedom, the difference of two differences is ln 2
        List<Noise.Round> two = List.of(
                new Noise.Round(Map.of("A", List.of(0.0), "B", List.of(0.0))),
                new Noise.Round(Map.of("A", List.of(0.0), "B", List.of(Math.log(2)))));
        double own = Math.pow(1.0483 * Math.log(2), 2) / 2;
        double usual = 0.3 * 0.3 + 0.2 * 0.2;
        double wanted = Math.sqrt(2 * (12 * usual + own) / 13);
        assertEquals(wanted, Noise.of(List.of(two)).noise().ofRound(1), 1e-9);
        assertEquals(4, Noise.of(List.of(two)).visits());
    }

    /** One odd visit must not turn an evening into a night: rounds go with the square of the scatter. */
    @Test
    void one_odd_visit_in_three_rounds_leaves_a_plan_within_its_evening() {
        Random random = new Random(9);
        List<Noise.Round> three = new ArrayList<>(rounds(2, 1, 0.2, 0.1, random));
        three.add(new Noise.Round(Map.of("A", List.of(0.0), "B", List.of(0.5 + Math.log(4)))));
        double usual = Noise.USUAL.ofRound(1);
        double moved = Noise.of(List.of(three)).noise().ofRound(1);
        assertTrue(Math.pow(moved / usual, 2) < 2.5, moved + " after " + usual);
    }

    @Test
    void it_says_what_it_rests_on() {
        Random random = new Random(7);
        assertEquals(
                "From typical values (you have no visits of your own yet), upload varies by about"
                        + " 67 % between two setups from round to round.",
                Noise.of(List.of()).says("upload"));
        String few = Noise.of(List.of(rounds(1, 1, 0.3, 0.2, random))).says("upload");
        assertTrue(few.startsWith("From typical values and your own 2 visits, upload varies"), few);
        String many = Noise.of(List.of(rounds(15, 1, 0.3, 0.2, random))).says("upload");
        assertTrue(many.startsWith("From your own 30 visits, upload varies"), many);
    }
}
