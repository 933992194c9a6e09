package syntoma.core.place;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import syntoma.core.unit.Labels;

/** What a campsite is like, as far as it matters to radio. */
public enum Surroundings {
    OPEN,
    WOODS,
    VALLEY,
    RIDGE_BETWEEN,
    TOWN;

    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** All words. */
    public static List<String> words() {
        return Arrays.stream(values()).map(Surroundings::word).toList();
    }

    /**
     * The surroundings of a word.
     *
     * @throws IllegalArgumentException naming the text and the words there are
     */
    public static Surroundings fromLabel(String text) {
        return Labels.find("surroundings", text, values(), Surroundings::word);
    }
}
