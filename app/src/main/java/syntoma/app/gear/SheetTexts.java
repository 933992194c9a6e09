package syntoma.app.gear;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.sheettext.FoundField;
import syntoma.core.sheettext.SheetText;
import syntoma.core.unit.Values;

/** Reads pasted data sheets, and says what was found by the fields of the form. */
@Component
class SheetTexts {
    /** A pasted text, and what it is of. */
    record SheetTextRequest(@Nullable String kind, @Nullable String text) {}

    /** What else a field could be. */
    record OtherView(Object value, String says) {}

    /**
     * A field that the text states.
     *
     * @param field its key on the data sheet, or name or price
     * @param says the value as a person reads it
     * @param words of the text that it came from
     * @param line of the text, from 1
     * @param question what a person has to answer before it counts; empty text where it is sure
     */
    record FoundView(
            String field,
            String label,
            Object value,
            String says,
            String words,
            int line,
            String question,
            List<OtherView> others) {}

    /** All that a text states, what is sure first. */
    record SheetTextView(List<FoundView> found) {}

    SheetTextView read(SheetTextRequest request) {
        SheetText.Kind kind = InvalidInputException.naming(
                "kind", () -> SheetText.Kind.fromLabel(Objects.requireNonNullElse(request.kind(), "")));
        List<FoundField> found = InvalidInputException.naming(
                "text", () -> SheetText.read(kind, Objects.requireNonNullElse(request.text(), "")));
        List<SheetField> form = SheetForms.of(GearKind.valueOf(kind.name()));
        List<FoundView> views = new ArrayList<>();
        found.stream().filter(FoundField::isSure).forEach(f -> views.add(view(f, form)));
        found.stream().filter(f -> !f.isSure()).forEach(f -> views.add(view(f, form)));
        return new SheetTextView(views);
    }

    private static FoundView view(FoundField f, List<SheetField> form) {
        SheetField field = form.stream()
                .filter(one -> one.key().equals(f.field()))
                .findFirst()
                .orElse(
                        f.field().equals("price")
                                ? SheetField.text("price", "Price")
                                : SheetField.text("name", "Name"));
        return new FoundView(
                f.field(),
                field.label(),
                f.value(),
                says(field, f.value()),
                f.words(),
                f.line(),
                f.question(),
                f.otherValues().stream()
                        .map(other -> new OtherView(other, says(field, other)))
                        .toList());
    }

    private static String says(SheetField field, Object value) {
        if (value instanceof Double number) {
            return Values.format(number) + (field.unit().isEmpty() ? "" : " " + field.unit());
        }
        if (value instanceof Boolean yes) {
            return yes ? "yes" : "no";
        }
        if (value instanceof List<?> list) {
            return list.isEmpty() || !(list.get(0) instanceof Map)
                    ? list.stream().map(Object::toString).collect(Collectors.joining(" "))
                    : rows(field, list);
        }
        return value.toString();
    }

    /** Rows that differ by their label alone are said once, with how many there are. */
    private static String rows(SheetField field, List<?> rows) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        for (Object row : rows) {
            String says = field.columns().stream()
                    .filter(c -> !c.key().equals("label") && !c.key().equals("main"))
                    .filter(c -> ((Map<?, ?>) row).get(c.key()) != null)
                    .map(c -> says(c, ((Map<?, ?>) row).get(c.key())))
                    .collect(Collectors.joining(", "));
            counts.merge(says, 1, Integer::sum);
        }
        return counts.entrySet().stream()
                .map(e -> (e.getValue() == 1 ? "" : e.getValue() + " × ") + e.getKey())
                .collect(Collectors.joining("; "));
    }
}
