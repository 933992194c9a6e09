package syntoma.core.calculator;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import syntoma.core.propagation.Obstacle;

class CalculatorsTest {
    private static Answer answer(String key, Map<String, String> changed) {
        Calculator calculator = Calculators.of(key);
        Map<String, String> texts = new HashMap<>();
        calculator.inputs().forEach(i -> texts.put(i.name(), i.usual()));
        texts.putAll(changed);
        return calculator.of(new GivenValues(calculator.inputs(), texts));
    }

    private static String value(Answer answer, String label) {
        return answer.lines().stream()
                .filter(l -> l.label().equals(label))
                .findFirst()
                .orElseThrow()
                .value()
                .toString();
    }

    @Test
    void eachAnswersAtFirstAndSaysItsFormulaAndWhereItHolds() {
        assertEquals(10, Calculators.all().size());
        for (Calculator calculator : Calculators.all()) {
            Answer answer = answer(calculator.key(), Map.of());
            assertTrue(answer.says().toString().endsWith("."), calculator.key());
            assertFalse(answer.lines().isEmpty(), calculator.key());
            assertFalse(calculator.formula().isBlank(), calculator.key());
            assertFalse(calculator.holds().toString().isBlank(), calculator.key());
        }
    }

    @Test
    void channel1300IsBand3() {
        // the worked example of TS 36.101
        Answer answer = answer("channel", Map.of("number", "1300"));
        assertEquals("It is band B3: 1815 MHz down, 1720 MHz up.", answer.says().toString());
        assertEquals("B3", answer.keep().orElseThrow().values().get("band"));
    }

    @Test
    void aNumberOf5gAloneIsNotGuessed() {
        Answer answer = answer("channel", Map.of("technology", "NR-ARFCN (5G)", "number", "650000"));
        assertTrue(
                answer.says().toString().startsWith("It can be"), answer.says().toString());
        assertTrue(answer.keep().isEmpty());
    }

    @Test
    void tenMetresOf240ClassAt1800LoseWhatTheSheetSays() {
        // 35.6 dB per 100 m (docs/methods.md#3-chain)
        Answer answer = answer("cable", Map.of("length", "10", "mhz", "1800", "plugs", "0"));
        assertEquals("3.6 dB", value(answer, "Cable"));
        assertEquals("44 %", value(answer, "Power left"));
    }

    @Test
    void threeMetresAt800MhzIsolateByFreeSpaceAndWalls() {
        // 40.05 + 15 − (5 − 10) − (3 − 10) = 67.05
        Answer answer = answer("isolation", Map.of());
        assertEquals("67.1 dB", value(answer, "Isolation"));
        assertEquals("57.1 dB", value(answer, "Usable gain"));
    }

    @Test
    void elevenGbTakeTheTimeOfTheSource() {
        Answer answer = answer("upload", Map.of());
        assertEquals("1 h 58 min", value(answer, "Time"));
        assertEquals("3.06 Mb/s", value(answer, "Rate needed"));
    }

    @ParameterizedTest
    @CsvSource({"1.4, 0.35, 15", "2, 0.35, 6", "1.4, 0.2, 7", "2, 0.5, 9"})
    void roundsAreThoseOfTheSource(String times, String spread, String rounds) {
        assertEquals(rounds, value(answer("rounds", Map.of("times", times, "spread", spread)), "Rounds"));
    }

    @ParameterizedTest
    @CsvSource({
        "-30, dBm, 0.001 mW",
        "3, dB, '1.995 times in power, 1.413 times in voltage'",
        "80, Mb/s, 10 MB/s",
        "16, AWG, 1.309 mm²",
        "20, °C, 68 °F"
    })
    void unitsAreConverted(String value, String unit, String other) {
        assertTrue(answer("units", Map.of("value", value, "unit", unit))
                .says()
                .toString()
                .contains(other));
    }

    @Test
    void anEdgeOnTheLineTakesSixDecibel() {
        assertEquals(6.03, Obstacle.lossDb(0), 0.005);
        assertEquals(0, Obstacle.lossDb(-0.78), 1e-9);
        // half-way over 2 km at 800 MHz
        assertEquals(13.69, Obstacle.fresnelM(1, 1, 1, 800), 0.01);
    }

    @Test
    void aHillThatTouchesTheLineIsFound() {
        Answer answer = answer(
                "hill",
                Map.of(
                        "km",
                        "2",
                        "mhz",
                        "800",
                        "from",
                        "10",
                        "to",
                        "10",
                        "profile",
                        "0 0\n0.99 0\n1 9.94\n1.01 0\n2 0"));
        // 9.94 m and 6 cm of the earth’s bulge: on the line
        assertEquals("6.0 dB", value(answer, "The ground"));
        assertEquals(201, answer.profile().orElseThrow().km().size());
    }

    /** A crag 4 m wide between two of the even steps: v = 50 · √(2 · 6 km / (λ · 3.017 km · 2.983 km)) = 3.0, J = 22.6 dB. */
    @Test
    void a_narrow_ridge_between_the_steps_is_not_missed() {
        Answer answer = answer(
                "hill",
                Map.of(
                        "km",
                        "6",
                        "mhz",
                        "800",
                        "from",
                        "10",
                        "to",
                        "10",
                        "profile",
                        "0 0\n3.015 0\n3.017 60\n3.019 0\n6 0"));
        assertTrue(answer.says().toString().contains("22."), answer.says().toString());
        Answer cliff = answer(
                "hill",
                Map.of(
                        "km",
                        "6",
                        "mhz",
                        "800",
                        "from",
                        "10",
                        "to",
                        "10",
                        "profile",
                        "0 0\n3.017 0\n3.017 60\n3.1 0\n6 0"));
        assertTrue(cliff.says().toString().contains("22."), cliff.says().toString());
    }

    @Test
    void flatGroundFarBelowTakesNothing() {
        Answer answer = answer("hill", Map.of("km", "2", "from", "60", "to", "60", "profile", "0 0\n2 0"));
        assertTrue(
                answer.says().toString().startsWith("The path is clear"),
                answer.says().toString());
    }

    @Test
    void theWireOfTheSourceLosesWhatItSays() {
        // 5 m, 2 A, 1.5 mm², 60 °C: 0.27 V; 22 W at 11 V are 2 A, and 3 % of 12 V are 0.36
        Answer answer = answer("power", Map.of("watts", "22", "way", "5"));
        assertEquals("2.00 A", value(answer, "Current at 11 V"));
        assertTrue(value(answer, "Voltage drop").startsWith("0.27 V"), value(answer, "Voltage drop"));
    }

    @Test
    void aMastDueNorthIsAtNoughtAndTheCompassDiffersByTheDeclination() {
        Answer answer = answer("bearing", Map.of("from", "60, 20", "to", "60.1, 20", "declination", "7"));
        assertEquals("0.0°", value(answer, "True"));
        assertEquals("353.0°", value(answer, "By the compass"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "much", "-1", "1e12"})
    void whatCannotBeIsRefusedByItsField(String text) {
        GivenValues.InvalidValueException refused =
                assertThrows(GivenValues.InvalidValueException.class, () -> answer("cable", Map.of("length", text)));
        assertEquals("length", refused.field());
        assertTrue(refused.getMessage().startsWith("Length"), refused.getMessage());
    }

    @Test
    void aLineOfTheGroundThatCannotBeReadIsNamed() {
        GivenValues.InvalidValueException refused = assertThrows(
                GivenValues.InvalidValueException.class, () -> answer("hill", Map.of("profile", "0 20\nhill")));
        assertEquals("profile", refused.field());
        assertTrue(refused.getMessage().contains("line 2"), refused.getMessage());
    }
}
