package syntoma.core.calculator;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import syntoma.core.unit.Labels;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * What was typed, read and checked against the fields.
 *
 * @param texts by the names of the fields
 */
public record GivenValues(List<Input> inputs, Map<String, String> texts) {
    private static final int LONGEST = 4000;

    /** What is wrong with one field. */
    public static final class InvalidValueException extends IllegalArgumentException {
        private final String field;

        InvalidValueException(String field, String message) {
            super(message);
            this.field = field;
        }

        public String field() {
            return field;
        }
    }

    public GivenValues {
        inputs = List.copyOf(inputs);
        texts = Map.copyOf(texts);
    }

    private Input input(String name) {
        return inputs.stream().filter(i -> i.name().equals(name)).findFirst().orElseThrow();
    }

    /** A text without the space around it; empty where nothing is there. */
    String text(String name) {
        String text = texts.getOrDefault(name, "").strip();
        if (text.length() > LONGEST) {
            throw new InvalidValueException(
                    name, name + " has " + text.length() + " characters; allowed are up to " + LONGEST);
        }
        if (text.isEmpty() && input(name).isRequired()) {
            throw new InvalidValueException(name, input(name).label() + " is missing");
        }
        return text;
    }

    /** A number that has to be there. */
    double number(String name) {
        return maybe(name)
                .orElseThrow(() -> new InvalidValueException(name, input(name).label() + " is missing"));
    }

    /** A number; empty where nothing is there. Commas are read as points. */
    OptionalDouble maybe(String name) {
        String text = text(name);
        if (text.isEmpty()) {
            return OptionalDouble.empty();
        }
        Input input = input(name);
        double value = Values.typed(text)
                .orElseThrow(() -> new InvalidValueException(
                        name,
                        input.label() + " is " + Text.quote(text) + "; allowed is a number from "
                                + Values.format(input.low()) + " to " + Values.format(input.high())));
        try {
            return OptionalDouble.of(Values.within(input.label(), value, input.low(), input.high(), input.unit()));
        } catch (IllegalArgumentException outside) {
            throw new InvalidValueException(name, outside.getMessage());
        }
    }

    /** One of the choices of a field. */
    String choice(String name) {
        Input input = input(name);
        try {
            return Labels.find(input.label(), text(name), input.choices().toArray(new String[0]), choice -> choice);
        } catch (InvalidValueException refused) {
            throw refused;
        } catch (IllegalArgumentException none) {
            throw new InvalidValueException(name, none.getMessage());
        }
    }

    /** Refuses a field for a reason of the rule itself. */
    static InvalidValueException refuse(String name, String message) {
        return new InvalidValueException(name, message);
    }
}
