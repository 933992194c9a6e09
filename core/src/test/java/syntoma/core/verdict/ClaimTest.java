package syntoma.core.verdict;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ClaimTest {
    @ParameterizedTest
    @CsvSource({
        "BETTER, 1.5, BETTER, true, false",
        "BETTER, 1.5, CANNOT_TELL, true, true",
        "BETTER, 1.1, CANNOT_TELL, false, true",
        "BETTER, 0.7, WORSE, false, true",
        "NO_DIFFERENCE, 0.9, NO_DIFFERENCE, true, false",
        "NO_DIFFERENCE, 0.9, CANNOT_TELL, true, true",
        "WORSE, 0.8, WORSE, true, false",
        "CANNOT_TELL, 1.5, BETTER, false, false",
        "CANNOT_TELL, 1.0, CANNOT_TELL, false, false"
    })
    void a_claim_is_held_against_the_truth_and_against_what_the_trial_could_say(
            Claim said, double truth, Verdict verdict, boolean right, boolean tooMuch) {
        assertEquals(right, said.isRight(truth, 1.2));
        assertEquals(tooMuch, said.isTooMuch(truth, 1.2, verdict));
    }
}
