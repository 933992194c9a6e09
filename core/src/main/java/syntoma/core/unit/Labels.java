package syntoma.core.unit;

import java.util.Arrays;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Finds one of a few things by the label a person knows it by. */
public final class Labels {
    private Labels() {}

    /**
     * The thing with a label, in either case.
     *
     * @throws IllegalArgumentException naming the field, the text and the labels there are
     */
    public static <T> T find(String field, String text, T[] things, Function<T, String> label) {
        return Arrays.stream(things)
                .filter(thing -> label.apply(thing).equalsIgnoreCase(text.strip()))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(field + " is " + Text.quote(text) + "; allowed is "
                        + Arrays.stream(things).map(label).collect(Collectors.joining(", "))));
    }
}
