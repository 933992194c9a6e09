package syntoma.core.finding;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import syntoma.core.verdict.Verdict;

class WorthTest {
    private static final Contrast BASELINE = contrast(1, Verdict.NO_DIFFERENCE);

    private static Contrast contrast(double estimate, Verdict verdict) {
        return new Contrast(
                20,
                6,
                OptionalDouble.of(estimate),
                OptionalDouble.of(estimate / 1.1),
                OptionalDouble.of(estimate * 1.1),
                verdict,
                OptionalInt.empty());
    }

    /** Stays from one on: 1 where the need was met, 0 where it was not, - where the setup was not used. */
    private static Map<Long, Boolean> met(String stays) {
        Map<Long, Boolean> met = new TreeMap<>();
        for (int i = 0; i < stays.length(); i++) {
            if (stays.charAt(i) != '-') {
                met.put((long) i, stays.charAt(i) == '1');
            }
        }
        return met;
    }

    private static Worth.SetupRecord known(String setup, double price, String stays, Contrast effect) {
        return new Worth.SetupRecord(
                setup, OptionalDouble.of(price), OptionalDouble.of(price - 100), met(stays), effect);
    }

    @Test
    void theCheapestMeetsTheNeedAtFourStaysOfFiveAndWasMeasuredAtFour() {
        Worth worth = Worth.of(List.of(
                known("dear", 500, "11111", BASELINE),
                known("cheap", 100, "11110", contrast(0.9, Verdict.NO_DIFFERENCE)),
                known("cheaper", 50, "11100", contrast(0.8, Verdict.WORSE)),
                known("rare", 10, "111--", contrast(1, Verdict.NO_DIFFERENCE))));
        assertEquals(Optional.of("cheap"), worth.cheapest());
        assertTrue(worth.harder().isEmpty());
    }

    @Test
    void aSetupThatWasUsedWhereItWasEasyIsSaidToBe() {
        Worth worth = Worth.of(List.of(
                known("dome", 500, "11111010", BASELINE),
                known("whips", 100, "1111----", contrast(0.6, Verdict.WORSE))));
        assertEquals(Optional.of("whips"), worth.cheapest());
        assertEquals(Optional.of(new Worth.Harder(4, 2)), worth.harder());
    }

    @Test
    void whereTheRestWasNoHarderNothingIsSaidOfIt() {
        Worth worth = Worth.of(List.of(
                known("dome", 500, "11111111", BASELINE),
                known("whips", 100, "1111----", contrast(0.6, Verdict.WORSE))));
        assertTrue(worth.harder().isEmpty());
    }

    @Test
    void theFastestIsNamedOnceItIsTold() {
        Worth.SetupRecord baseline = known("dome", 500, "1111", BASELINE);
        assertEquals(
                Optional.of("mast"),
                Worth.of(List.of(baseline, known("mast", 700, "1111", contrast(2, Verdict.BETTER))))
                        .fastest());
        assertTrue(Worth.of(List.of(baseline, known("mast", 700, "1111", contrast(1.6, Verdict.CANNOT_TELL))))
                .fastest()
                .isEmpty());
        assertTrue(Worth.of(List.of(baseline, known("mast", 700, "1111", contrast(0.9, Verdict.CANNOT_TELL))))
                .fastest()
                .isEmpty());
        assertEquals(
                Optional.of("dome"),
                Worth.of(List.of(baseline, known("mast", 700, "1111", contrast(0.5, Verdict.WORSE))))
                        .fastest());
    }

    @Test
    void aStepOfHalfAsMuchAgainHasItsPrice() {
        // ×2.25 is two steps; 300 more than what exists
        Worth worth = Worth.of(List.of(known("mast", 400, "1111", contrast(2.25, Verdict.BETTER))));
        assertEquals(150, worth.rows().get(0).perStep().getAsDouble(), 1e-9);
        // what does not bring more has no price for more
        assertTrue(Worth.of(List.of(known("whips", 400, "1111", contrast(0.5, Verdict.WORSE))))
                .rows()
                .get(0)
                .perStep()
                .isEmpty());
    }
}
