package syntoma.app.rig;

import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import syntoma.core.band.Bands;
import syntoma.core.unit.FieldProblem;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * Reads what a person or a file gives for a data sheet: numbers may be texts, with a decimal comma; what is empty is left
 * out. Collects all that is wrong, by the path of the field.
 */
final class SheetReader {
    private static final int LONGEST = 400;
    private static final int MOST_ROWS = 40;
    private static final Pattern SEPARATORS = Pattern.compile("[,;\\s]+");

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
                        key + " is not a field here; allowed are "
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
        return switch (field.type()) {
            case "number", "whole" -> number(field, value, path);
            case "choice" -> oneOf(field, value.toString(), path);
            case "many" ->
                list(value).stream()
                        .map(v -> oneOf(field, v.toString(), path))
                        .filter(v -> v != null)
                        .distinct()
                        .toList();
            case "yesno" -> yesno(field, value, path);
            case "bands" -> bands(value, path);
            case "date" -> date(field, value.toString(), path);
            case "rows" -> rows(field, value, path);
            default -> text(field, value.toString(), path);
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
        String text = value.toString().strip().replace('−', '-');
        double number;
        try {
            number = new BigDecimal(text.replace(',', '.')).doubleValue();
        } catch (NumberFormatException e) {
            problem(
                    path,
                    label + " is " + Text.quoted(text) + "; write the number alone, without a unit or a currency sign");
            return null;
        }
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

    private Object oneOf(SheetField field, String text, String path) {
        for (String choice : field.choices()) {
            if (choice.equalsIgnoreCase(text.strip())) {
                return choice;
            }
        }
        problem(
                path,
                field.label() + " is " + Text.quoted(text) + "; allowed is " + String.join(", ", field.choices()));
        return null;
    }

    private Object yesno(SheetField field, Object value, String path) {
        String text = value.toString().strip();
        if (text.equalsIgnoreCase("true") || text.equalsIgnoreCase("yes")) {
            return true;
        }
        if (text.equalsIgnoreCase("false") || text.equalsIgnoreCase("no")) {
            return false;
        }
        problem(path, field.label() + " is " + Text.quoted(text) + "; allowed is yes or no");
        return null;
    }

    private Object bands(Object value, String path) {
        List<String> names = new ArrayList<>();
        for (Object part : list(value)) {
            for (String name : SEPARATORS.split(part.toString().strip())) {
                try {
                    names.add(Bands.named(name).name());
                } catch (IllegalArgumentException refused) {
                    problem(path, refused.getMessage());
                }
            }
        }
        return names.stream().distinct().toList();
    }

    private Object date(SheetField field, String text, String path) {
        try {
            return LocalDate.parse(text.strip()).toString();
        } catch (DateTimeException e) {
            problem(path, field.label() + " is " + Text.quoted(text) + "; write a date such as 2026-08-14");
            return null;
        }
    }

    private Object rows(SheetField field, Object value, String path) {
        List<Object> rows = new ArrayList<>();
        List<?> given = list(value);
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

    private Object text(SheetField field, String text, String path) {
        if (text.strip().length() > LONGEST) {
            problem(
                    path,
                    field.label() + " has " + text.strip().length() + " characters; allowed are up to " + LONGEST);
            return null;
        }
        return text.strip();
    }

    private void problem(String path, String message) {
        problems.add(new FieldProblem(path, message));
    }
}
