package syntoma.core.calculator;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Every field of every calculator: what it takes, and what it refuses by its own name. */
class EveryInputTest {
    /** What Java would take for a number and nobody types as one, and what is none. */
    private static final List<String> NO_NUMBERS = List.of(
            "abc", "1.2.3", "NaN", "Infinity", "-Infinity", "1e400", "0x10", "5f", "5d", "1 2", "--3", "12 dB", "½");

    static Stream<Arguments> numbers() {
        return Calculators.all().stream()
                .flatMap(c -> c.inputs().stream().filter(Input::isNumber).map(i -> Arguments.of(c.key(), i.name())));
    }

    private static Answer answer(Calculator calculator, Map<String, String> changed) {
        Map<String, String> texts = new HashMap<>();
        calculator.inputs().forEach(i -> texts.put(i.name(), i.usual()));
        texts.putAll(changed);
        return calculator.of(new GivenValues(calculator.inputs(), texts));
    }

    private static Input input(Calculator calculator, String name) {
        return calculator.inputs().stream()
                .filter(i -> i.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest(name = "{0}: {1}")
    @MethodSource("numbers")
    void whatIsNoNumberIsRefusedWithTheFieldTheTextAndTheRange(String key, String name) {
        Calculator calculator = Calculators.of(key);
        Input input = input(calculator, name);
        for (String text : NO_NUMBERS) {
            GivenValues.InvalidValueException refused = assertThrows(
                    GivenValues.InvalidValueException.class, () -> answer(calculator, Map.of(name, text)), text);
            assertEquals(name, refused.field(), text);
            assertTrue(refused.getMessage().startsWith(input.label()), refused.getMessage());
            assertTrue(refused.getMessage().contains("allowed"), refused.getMessage());
        }
    }

    @ParameterizedTest(name = "{0}: {1}")
    @MethodSource("numbers")
    void whatLiesOutsideItsRangeIsRefused(String key, String name) {
        Calculator calculator = Calculators.of(key);
        Input input = input(calculator, name);
        double step = Math.max(1e-6, Math.abs(input.high()) * 1e-6);
        for (double outside : new double[] {input.low() - step, input.high() + step}) {
            GivenValues.InvalidValueException refused = assertThrows(
                    GivenValues.InvalidValueException.class,
                    () -> answer(calculator, Map.of(name, Double.toString(outside))));
            assertEquals(name, refused.field());
        }
    }

    /** At the ends of a range it answers, or another rule says what does not go together; it never breaks. */
    @ParameterizedTest(name = "{0}: {1}")
    @MethodSource("numbers")
    void atTheEndsOfItsRangeItAnswersOrSaysWhyNot(String key, String name) {
        Calculator calculator = Calculators.of(key);
        Input input = input(calculator, name);
        for (double end : new double[] {input.low(), input.high()}) {
            try {
                Answer answer = answer(calculator, Map.of(name, Double.toString(end)));
                assertTrue(answer.says().toString().endsWith("."), answer.says().toString());
                for (Answer.Line line : answer.lines()) {
                    assertFalse(line.value().toString().contains("NaN"), line.toString());
                    assertFalse(line.value().toString().contains("Infinity"), line.toString());
                }
                assertFalse(
                        answer.says().toString().contains("NaN")
                                || answer.says().toString().contains("Infinity"),
                        answer.says().toString());
            } catch (GivenValues.InvalidValueException refused) {
                assertTrue(
                        calculator.inputs().stream().anyMatch(i -> i.name().equals(refused.field())), refused.field());
            }
        }
    }

    @ParameterizedTest(name = "{0}: {1}")
    @MethodSource("numbers")
    void aCommaIsAPoint(String key, String name) {
        Calculator calculator = Calculators.of(key);
        Input input = input(calculator, name);
        if (input.usual().isEmpty() || !input.usual().matches("[0-9]+(\\.[0-9]+)?")) {
            return;
        }
        String point = input.usual().contains(".") ? input.usual() : input.usual() + ".0";
        Answer asPoint = answer(calculator, Map.of(name, point));
        Answer asComma = answer(calculator, Map.of(name, point.replace('.', ',')));
        assertEquals(asPoint.says().toString(), asComma.says().toString());
        assertEquals(asPoint.lines(), asComma.lines());
    }

    @Test
    void aChoiceThatIsNoneIsRefusedWithThoseThereAre() {
        for (Calculator calculator : Calculators.all()) {
            for (Input input : calculator.inputs()) {
                if (!input.choices().isEmpty()) {
                    GivenValues.InvalidValueException refused = assertThrows(
                            GivenValues.InvalidValueException.class,
                            () -> answer(calculator, Map.of(input.name(), "no such thing")));
                    assertEquals(input.name(), refused.field());
                    assertTrue(refused.getMessage().contains(input.choices().get(0)), refused.getMessage());
                }
            }
        }
    }

    @Test
    void whatIsNeededAndMissingIsNamed() {
        for (Calculator calculator : Calculators.all()) {
            for (Input input : calculator.inputs()) {
                if (input.isRequired() && input.choices().isEmpty()) {
                    GivenValues.InvalidValueException refused = assertThrows(
                            GivenValues.InvalidValueException.class,
                            () -> answer(calculator, Map.of(input.name(), "  ")),
                            input.name());
                    assertEquals(input.name(), refused.field());
                    assertEquals(input.label() + " is missing", refused.getMessage());
                }
            }
        }
    }
}
