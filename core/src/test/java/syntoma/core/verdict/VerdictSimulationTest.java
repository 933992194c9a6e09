package syntoma.core.verdict;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The promises of the verdict, small: each share is known to about half a percent here, the whole to a tenth in docs. */
class VerdictSimulationTest {
    private final VerdictSimulation small = new VerdictSimulation(8_000, 11);

    @ParameterizedTest
    @CsvSource({"3, 10", "5, 12", "10, 20"})
    void going_on_past_the_plan_claims_no_more_than_it_may(int planned, int made) {
        double share = small.falseClaims(planned, made);
        assertTrue(share > 0.03 && share <= 0.06, "share " + share);
    }

    @ParameterizedTest
    @CsvSource({"4", "5", "8"})
    void a_clean_trial_shows_a_wild_run_in_one_case_of_twenty(int rounds) {
        double share = small.cleanWild(rounds);
        assertTrue(share > 0.03 && share <= 0.06, "share " + share);
    }

    @ParameterizedTest
    @CsvSource({"1, 5", "1.4, 5", "1.4, 3"})
    void the_interval_holds_the_truth_nineteen_times_in_twenty(double ratio, int rounds) {
        assertEquals(0.95, small.coverage(ratio, rounds), 0.01);
    }

    @Test
    void six_equal_setups_are_seldom_told_apart() {
        double share = small.familyError(6, 5);
        assertTrue(share > 0.01 && share <= 0.055, "share " + share);
    }
}
