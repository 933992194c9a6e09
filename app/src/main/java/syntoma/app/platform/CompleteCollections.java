package syntoma.app.platform;

import java.util.List;
import java.util.Map;

/** Lists and maps from outside: missing ones are empty, and none has a hole. */
public final class CompleteCollections {
    private CompleteCollections() {}

    /**
     * A list without holes.
     *
     * @throws InvalidInputException naming the first place that is null
     */
    public static <T> List<T> list(String field, List<T> given) {
        if (given == null) {
            return List.of();
        }
        for (int i = 0; i < given.size(); i++) {
            if (given.get(i) == null) {
                throw hole(field + "[" + i + "]");
            }
        }
        return List.copyOf(given);
    }

    /**
     * A map without holes.
     *
     * @throws InvalidInputException naming the first key whose value is null
     */
    public static <T> Map<String, T> map(String field, Map<String, T> given) {
        if (given == null) {
            return Map.of();
        }
        given.forEach((key, value) -> {
            if (key == null || value == null) {
                throw hole(field + "." + key);
            }
        });
        return Map.copyOf(given);
    }

    private static InvalidInputException hole(String field) {
        return new InvalidInputException(field, field + " is missing; leave it out or give it a value");
    }
}
