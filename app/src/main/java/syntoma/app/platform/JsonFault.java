package syntoma.app.platform;

import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.exc.StreamConstraintsException;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.exc.InvalidFormatException;
import com.fasterxml.jackson.databind.exc.MismatchedInputException;
import com.fasterxml.jackson.databind.exc.UnrecognizedPropertyException;
import java.util.stream.Collectors;
import syntoma.core.unit.FieldProblem;
import syntoma.core.unit.Text;

/** Says of a body that is not the JSON that is expected which field is at fault, or where its text breaks off. */
final class JsonFault {
    /** How the parser says that a field stands twice; its name follows in quotes. */
    private static final String TWICE = "Duplicate field '";

    private JsonFault() {}

    /** The problem with a body; {@code body} is its field where the text itself is no JSON. */
    static FieldProblem problem(Throwable cause) {
        if (cause instanceof JsonProcessingException broken
                && broken.getOriginalMessage().startsWith(TWICE)) {
            String text = broken.getOriginalMessage();
            String name = Text.shortened(text.substring(TWICE.length(), text.lastIndexOf('\'')));
            String field = broken instanceof JsonMappingException mapping ? path(mapping) + "." + name : name;
            return new FieldProblem(field, field + " is given twice; give it once");
        }
        if (cause instanceof JsonMappingException mapping
                && mapping.getCause() instanceof InvalidInputException refused) {
            FieldProblem inner = refused.problems().get(0);
            String field = mapping.getPath().isEmpty() ? inner.field() : path(mapping) + "." + inner.field();
            return new FieldProblem(field, inner.message());
        }
        if (cause instanceof JsonMappingException mapping && !mapping.getPath().isEmpty()) {
            String field = path(mapping);
            return new FieldProblem(field, words(field, mapping));
        }
        if (cause instanceof JsonProcessingException broken && broken.getLocation() != null) {
            JsonLocation at = broken.getLocation();
            return new FieldProblem(
                    "body",
                    "the body is not the JSON that is expected, at line " + at.getLineNr() + ", column "
                            + at.getColumnNr() + ": " + reason(broken));
        }
        if (cause instanceof StreamConstraintsException) {
            return new FieldProblem(
                    "body",
                    "the body holds a number of more than 40 digits, a text that is too long, or too deep nesting");
        }
        return new FieldProblem("body", "the body is missing or not the JSON that is expected");
    }

    /** A path such as {@code gear[3].price}. */
    private static String path(JsonMappingException mapping) {
        String path = mapping.getPath().stream()
                .map(step -> step.getFieldName() == null ? "[" + step.getIndex() + "]" : "." + step.getFieldName())
                .collect(Collectors.joining());
        return Text.shortened(path.startsWith(".") ? path.substring(1) : path);
    }

    private static String words(String field, JsonMappingException mapping) {
        if (mapping instanceof UnrecognizedPropertyException unknown) {
            return field + " is not known here; allowed are "
                    + unknown.getKnownPropertyIds().stream()
                            .map(String::valueOf)
                            .sorted()
                            .collect(Collectors.joining(", "));
        }
        if (mapping instanceof InvalidFormatException format) {
            return field + " is " + Text.quote(String.valueOf(format.getValue())) + "; allowed is "
                    + kind(format.getTargetType());
        }
        if (mapping.getOriginalMessage().contains("`null`")) {
            return field + " is missing; give it a value";
        }
        if (mapping instanceof MismatchedInputException mismatch && mismatch.getTargetType() != null) {
            return field + " cannot be read; allowed is " + kind(mismatch.getTargetType());
        }
        return field + " cannot be read: " + reason(mapping);
    }

    private static String kind(Class<?> type) {
        return switch (type.getSimpleName()) {
            case "int", "Integer", "long", "Long" -> "a whole number";
            case "double", "Double", "BigDecimal" -> "a number";
            case "boolean", "Boolean" -> "true or false";
            case "String" -> "a text";
            case "List", "ArrayList" -> "a list";
            default -> "an object with its fields";
        };
    }

    /** Jackson's reason without the names of classes, and no longer than a line. */
    private static String reason(JsonProcessingException broken) {
        String text = broken.getOriginalMessage();
        int end = text.indexOf("\n");
        String line = Text.shortened(end < 0 ? text : text.substring(0, end));
        return line.contains("java.") || line.contains("syntoma.") ? "its value does not fit" : line;
    }
}
