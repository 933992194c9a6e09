package syntoma.app.gear;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/** What a stored data sheet says; what it does not say is empty. */
record Sheet(Map<String, Object> fields) {
    OptionalDouble number(String key) {
        return fields.get(key) instanceof Number n ? OptionalDouble.of(n.doubleValue()) : OptionalDouble.empty();
    }

    OptionalInt integer(String key) {
        return fields.get(key) instanceof Number n ? OptionalInt.of(n.intValue()) : OptionalInt.empty();
    }

    Optional<String> text(String key) {
        return fields.get(key) instanceof String s ? Optional.of(s) : Optional.empty();
    }

    Optional<Boolean> yes(String key) {
        return fields.get(key) instanceof Boolean b ? Optional.of(b) : Optional.empty();
    }

    Optional<List<String>> list(String key) {
        return fields.get(key) instanceof List<?> list
                ? Optional.of(list.stream().map(Object::toString).toList())
                : Optional.empty();
    }

    @SuppressWarnings("unchecked")
    Optional<List<Sheet>> rows(String key) {
        return fields.get(key) instanceof List<?> list
                ? Optional.of(list.stream()
                        .map(row -> new Sheet((Map<String, Object>) row))
                        .toList())
                : Optional.empty();
    }
}
