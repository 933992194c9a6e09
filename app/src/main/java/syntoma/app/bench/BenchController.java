package syntoma.app.bench;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import syntoma.app.platform.CompleteCollections;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.NotFoundException;
import syntoma.core.calculator.Answer;
import syntoma.core.calculator.Calculator;
import syntoma.core.calculator.Calculators;
import syntoma.core.calculator.GivenValues;
import syntoma.core.calculator.Input;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Text;

/** Calculators: their fields, and what they say. */
@RestController
@RequestMapping("/api/bench")
class BenchController {
    /**
     * A field.
     *
     * @param low lowest number; null of a text
     * @param choices none of a field that is typed
     * @param lines whether it is a text of several lines
     */
    record InputView(
            String name,
            String label,
            String unit,
            String usual,
            @Nullable Double low,
            @Nullable Double high,
            List<String> choices,
            boolean lines,
            boolean needed) {
        private static InputView of(Input i) {
            boolean number = !Double.isNaN(i.low());
            return new InputView(
                    i.name(),
                    i.label(),
                    i.unit(),
                    i.usual(),
                    number ? i.low() : null,
                    number ? i.high() : null,
                    i.choices(),
                    i.isMultiline(),
                    i.isRequired());
        }
    }

    /**
     * A calculator.
     *
     * @param holds where it stops being true
     */
    record CalculatorView(
            String key,
            String name,
            String answers,
            String formula,
            Sentence holds,
            String caution,
            List<InputView> inputs) {
        private static CalculatorView of(Calculator c) {
            return new CalculatorView(
                    c.key(),
                    c.name(),
                    c.answers(),
                    c.formula(),
                    c.holds(),
                    c.caution(),
                    c.inputs().stream().map(InputView::of).toList());
        }
    }

    /** A figure of a result; {@code about} of an estimate. */
    record FigureLine(String label, Sentence value, boolean about) {}

    /** The ground between two antennas, place by place. */
    record ProfileView(List<Double> km, List<Double> groundM, double fromM, double toM, List<Double> fresnelM) {}

    /** What can be kept of a result. */
    record KeepView(String what, Map<String, String> values) {}

    /** What a calculator says. */
    record CalculationView(
            Sentence says, List<FigureLine> lines, @Nullable ProfileView profile, @Nullable KeepView keep) {
        private static CalculationView of(Answer a) {
            return new CalculationView(
                    a.says(),
                    a.lines().stream()
                            .map(l -> new FigureLine(l.label(), l.value(), l.isAbout()))
                            .toList(),
                    a.profile()
                            .map(p -> new ProfileView(p.km(), p.groundM(), p.fromM(), p.toM(), p.fresnelM()))
                            .orElse(null),
                    a.keep().map(k -> new KeepView(k.kind(), k.values())).orElse(null));
        }
    }

    /** What was typed, by the names of the fields; what is missing is as it is at first. */
    record CalculationRequest(@Nullable Map<String, String> values) {}

    @GetMapping
    List<CalculatorView> calculators() {
        return Calculators.all().stream().map(CalculatorView::of).toList();
    }

    /** Calculates; nothing is kept. */
    @PostMapping("/{calculator}")
    CalculationView calculate(@PathVariable String calculator, @RequestBody CalculationRequest asked) {
        Calculator found = find(calculator);
        Map<String, String> values = CompleteCollections.map("values", asked.values());
        values.keySet().stream()
                .filter(name -> found.inputs().stream().noneMatch(i -> i.name().equals(name)))
                .findFirst()
                .ifPresent(name -> {
                    throw new InvalidInputException(
                            "values",
                            "values has " + Text.quote(name) + "; allowed are "
                                    + String.join(
                                            ", ",
                                            found.inputs().stream()
                                                    .map(Input::name)
                                                    .toList()));
                });
        Map<String, String> texts = new HashMap<>();
        found.inputs().forEach(i -> texts.put(i.name(), i.usual()));
        texts.putAll(values);
        try {
            return CalculationView.of(found.of(new GivenValues(found.inputs(), texts)));
        } catch (GivenValues.InvalidValueException refused) {
            throw new InvalidInputException("values." + refused.field(), refused.getMessage());
        } catch (IllegalArgumentException refused) {
            throw new InvalidInputException("values", refused.getMessage());
        }
    }

    private static Calculator find(String key) {
        try {
            return Calculators.of(key);
        } catch (IllegalArgumentException none) {
            throw new NotFoundException(none.getMessage());
        }
    }
}
