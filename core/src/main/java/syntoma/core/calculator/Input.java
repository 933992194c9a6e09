package syntoma.core.calculator;

import java.util.List;

/**
 * A field of a calculator.
 *
 * @param unit empty text where it has none; of a text of several lines those of its columns, with a space between
 * @param usual the value at first; empty text where the field may stay empty
 * @param low lowest number; NaN of a text
 * @param choices what can be chosen; none of a field that is typed
 * @param isMultiline whether it is a text of several lines
 */
public record Input(
        String name,
        String label,
        String unit,
        String usual,
        double low,
        double high,
        List<String> choices,
        boolean isMultiline,
        boolean isRequired) {

    static Input number(String name, String label, String unit, String usual, double low, double high) {
        return new Input(name, label, unit, usual, low, high, List.of(), false, true);
    }

    static Input choice(String name, String label, List<String> choices, String usual) {
        return new Input(name, label, "", usual, Double.NaN, Double.NaN, choices, false, true);
    }

    static Input text(String name, String label, String usual) {
        return new Input(name, label, "", usual, Double.NaN, Double.NaN, List.of(), false, true);
    }

    static Input isMultiline(String name, String label, String units, String usual) {
        return new Input(name, label, units, usual, Double.NaN, Double.NaN, List.of(), true, false);
    }

    Input maybe() {
        return new Input(name, label, unit, usual, low, high, choices, isMultiline, false);
    }

    boolean isNumber() {
        return !Double.isNaN(low);
    }
}
