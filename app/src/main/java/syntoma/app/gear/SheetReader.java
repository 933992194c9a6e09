package syntoma.app.gear;

import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import syntoma.core.sheettext.FieldReader;
import syntoma.core.unit.FieldProblem;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * Reads what a person or a file gives for a data sheet: numbers may be texts, with a decimal comma; what is empty is left
 * out. Collects all that is wrong, by the path of the field.
 */
final class SheetReader {
    private static final int LONGEST = 400;
    private static final int LONGEST_NUMBER = 42;
    private static final int LONGEST_DATE = 10;
    private static final int LONGEST_BANDS = 4_000;
    private static final int MOST_ROWS = 40;
    private static final int MOST_LISTED = 300;
    private static final int MOST_PROBLEMS = 50;

    private final List<FieldProblem> problems = new ArrayList<>();

    List<FieldProblem> problems() {
        return List.copyOf(problems);
    }

    /** The sheet with its values in their types, by the fields of a form. */
    Map<String, Object> read(List<SheetField> form, Map<String, Object> given, String path) {
        Map<String, Object> sheet = new LinkedHashMap<>();
        for (SheetField field : form) {
            Object value = given.get(field.key());
            if (!isEmpty(value)) {
                Object read = read(field, value, path + field.key());
                if (read != null) {
                    sheet.put(field.key(), read);
                }
            }
        }
        given.keySet().stream()
                .filter(key -> form.stream().noneMatch(f -> f.key().equals(key)))
                .forEach(key -> problem(
                        path + key,
                        Text.shortened(key) + " is not a field here; allowed are "
                                + String.join(
                                        ", ", form.stream().map(SheetField::key).toList())));
        return sheet;
    }

    private static boolean isEmpty(Object value) {
        return value == null
                || value instanceof String text && text.isBlank()
                || value instanceof List<?> list && list.isEmpty();
    }

    private Object read(SheetField field, Object value, String path) {
        if (value instanceof List<?> list && list.size() > MOST_LISTED) {
            problem(path, field.label() + " has " + list.size() + " items; allowed are up to " + MOST_LISTED);
            return null;
        }
        return switch (field.type()) {
            case "number", "whole" -> number(field, value, path);
            case "choice" -> oneOf(field, value, path);
            case "many" ->
                list(value).stream()
                        .map(v -> oneOf(field, v, path))
                        .filter(v -> v != null)
                        .distinct()
                        .toList();
            case "yesno" -> yesno(field, value, path);
            case "bands" -> bands(value, path);
            case "date" -> date(field, value, path);
            case "rows" -> rows(field, value, path);
            default -> text(field, value, path);
        };
    }

    private static List<?> list(Object value) {
        return value instanceof List<?> list ? list : List.of(value);
    }

    private Object number(SheetField field, Object value, String path) {
        return number(
                field.label(),
                value,
                field.low(),
                field.high(),
                field.unit(),
                field.type().equals("whole"),
                path);
    }

    /** A number within its limits; null after saying what is wrong. */
    Double number(String label, Object value, Double low, Double high, String unit, boolean whole, String path) {
        String text = valueText(value).replace('−', '-');
        OptionalDouble typed = plainNumber(text);
        if (typed.isEmpty()) {
            typed = FieldReader.number(text, unit);
        }
        if (typed.isEmpty()) {
            problem(
                    path,
                    label + " is " + Text.quote(text) + "; write a number"
                            + (unit.isEmpty() ? "" : ", alone or in " + unit));
            return null;
        }
        double number = typed.getAsDouble();
        try {
            Values.within(label, number, low, high, unit);
        } catch (IllegalArgumentException refused) {
            problem(path, refused.getMessage());
            return null;
        }
        if (whole && number != Math.rint(number)) {
            problem(path, label + " is " + text + "; allowed is a whole number");
            return null;
        }
        return number;
    }

    private static OptionalDouble plainNumber(String text) {
        try {
            return text.length() > LONGEST_NUMBER
                    ? OptionalDouble.empty()
                    : OptionalDouble.of(new BigDecimal(text.replace(',', '.')).doubleValue());
        } catch (NumberFormatException another) {
            return OptionalDouble.empty();
        }
    }

    /** A value as a text; of a list or an object nothing that could be one. */
    private static String valueText(Object value) {
        return value == null || value instanceof List || value instanceof Map
                ? "a list or an object"
                : value.toString().strip();
    }

    private Object oneOf(SheetField field, Object value, String path) {
        String text = valueText(value);
        for (String choice : field.choices()) {
            if (choice.equalsIgnoreCase(text)) {
                return choice;
            }
        }
        problem(path, field.label() + " is " + Text.quote(text) + "; allowed is " + String.join(", ", field.choices()));
        return null;
    }

    private Object yesno(SheetField field, Object value, String path) {
        String text = valueText(value);
        if (text.equalsIgnoreCase("true") || text.equalsIgnoreCase("yes")) {
            return true;
        }
        if (text.equalsIgnoreCase("false") || text.equalsIgnoreCase("no")) {
            return false;
        }
        problem(path, field.label() + " is " + Text.quote(text) + "; allowed is yes or no");
        return null;
    }

    private Object bands(Object value, String path) {
        List<String> names = new ArrayList<>();
        for (Object part : list(value)) {
            String text = valueText(part);
            if (text.length() > LONGEST_BANDS) {
                problem(path, "the bands have " + text.length() + " characters; allowed are up to " + LONGEST_BANDS);
                return null;
            }
            try {
                names.addAll(FieldReader.bands(text));
            } catch (IllegalArgumentException refused) {
                problem(path, refused.getMessage());
            }
        }
        return names.stream().distinct().toList();
    }

    private Object date(SheetField field, Object value, String path) {
        String text = valueText(value);
        try {
            return LocalDate.parse(text.length() > LONGEST_DATE ? "" : text).toString();
        } catch (DateTimeException e) {
            problem(path, field.label() + " is " + Text.quote(text) + "; write a date such as 2026-08-14");
            return null;
        }
    }

    private Object rows(SheetField field, Object value, String path) {
        List<Object> rows = new ArrayList<>();
        List<?> given = value instanceof String text ? typedRows(field, text, path) : list(value);
        if (given.size() > MOST_ROWS) {
            problem(path, field.label() + " has " + given.size() + " rows; allowed are up to " + MOST_ROWS);
            return rows;
        }
        for (int i = 0; i < given.size(); i++) {
            if (given.get(i) instanceof Map<?, ?> row) {
                Map<String, Object> texts = new LinkedHashMap<>();
                row.forEach((k, v) -> texts.put(String.valueOf(k), v));
                Map<String, Object> read = read(field.columns(), texts, path + "[" + i + "].");
                if (!read.isEmpty()) {
                    rows.add(read);
                }
            } else {
                problem(path + "[" + i + "]", field.label() + ", row " + (i + 1) + " is not a row of fields");
            }
        }
        return rows.isEmpty() ? null : rows;
    }

    /** Rows from a few words, such as 4 × SMA. */
    private List<?> typedRows(SheetField field, String text, String path) {
        List<Map<String, Object>> rows = text.length() > LONGEST ? List.of() : FieldReader.rows(field.key(), text);
        if (rows.isEmpty()) {
            problem(
                    path,
                    field.label() + " is " + Text.quote(text) + "; write it such as 4 × SMA-female, or row by row");
        }
        return rows;
    }

    private Object text(SheetField field, Object value, String path) {
        String text = value instanceof List || value instanceof Map ? null : valueText(value);
        if (text == null) {
            problem(path, field.label() + " is a list or an object; allowed is a text");
            return null;
        }
        if (text.length() > LONGEST) {
            problem(path, field.label() + " has " + text.length() + " characters; allowed are up to " + LONGEST);
            return null;
        }
        try {
            return Text.lines(field.label(), text);
        } catch (IllegalArgumentException refused) {
            problem(path, refused.getMessage());
            return null;
        }
    }

    private void problem(String path, String message) {
        if (problems.size() < MOST_PROBLEMS) {
            problems.add(new FieldProblem(Text.shortened(path), message));
        }
    }
}
