package syntoma.core.sheettext;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * A field that a text states.
 *
 * @param field its key on the data sheet, or name or price
 * @param value a text, a number, yes or no, a list of texts, or a list of rows
 * @param words that it came from
 * @param line where they stand, from 1
 * @param question what a person has to answer before it counts; empty text where it is sure
 * @param otherValues what else it could be
 */
public record FoundField(
        String field, Object value, String words, int line, String question, List<Object> otherValues) {
    public FoundField {
        words = words.replaceFirst("^[\\s:;,|=]+", "");
        otherValues = List.copyOf(otherValues);
    }

    /** Whether it can be taken as it is. */
    public boolean isSure() {
        return question.isEmpty();
    }

    static FoundField isSure(String field, Object value, Line line, String words) {
        return new FoundField(field, value, words, line.number(), "", List.of());
    }

    static FoundField unsure(String field, Object value, Line line, String words, String question) {
        return new FoundField(field, value, words, line.number(), question, List.of());
    }

    /** One of each field: where a text states two values, the first one is asked about, with the others. */
    static List<FoundField> merge(List<FoundField> all) {
        Map<String, List<FoundField>> byField = new LinkedHashMap<>();
        all.forEach(f ->
                byField.computeIfAbsent(f.field(), key -> new ArrayList<>()).add(f));
        return byField.values().stream().map(FoundField::one).toList();
    }

    private static FoundField one(List<FoundField> same) {
        FoundField first = same.stream().filter(FoundField::isSure).findFirst().orElse(same.get(0));
        List<Object> others = same.stream()
                .filter(f -> f.isSure() == first.isSure())
                .map(FoundField::value)
                .filter(v -> !Objects.equals(v, first.value()))
                .distinct()
                .toList();
        return others.isEmpty()
                ? first
                : new FoundField(
                        first.field(),
                        first.value(),
                        first.words(),
                        first.line(),
                        first.isSure() ? "The text says more than one thing here. Which is it?" : first.question(),
                        others);
    }
}
