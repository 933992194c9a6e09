package syntoma.core.unit;

import java.text.Normalizer;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.text.similarity.LevenshteinDistance;

/**
 * Names that are probably meant to be the same: they differ in capitals, blanks, marks or accents, or in a letter or two.
 *
 * <p>Numbers and letters that stand alone tell things apart on purpose (Pitch 4 and Pitch 5, Dome A and Dome B), so such names
 * are never close.
 */
public final class CloseNames {
    /** Letters from which on one may be wrong, and two. Chosen: in shorter names another letter is mostly another name. */
    private static final int ONE_WRONG_FROM = 5;

    private static final int TWO_WRONG_FROM = 8;

    private static final LevenshteinDistance DISTANCE = new LevenshteinDistance(2);

    private CloseNames() {}

    /** The closest of some names to another; empty where none is close. The same name is not close to itself. */
    public static Optional<String> among(Collection<String> known, String name) {
        String given = name.strip();
        return known.stream()
                .filter(other -> !other.equals(given))
                .filter(other -> distance(other, given) <= allowedDistance(given, other))
                .min(Comparator.comparingInt((String other) -> distance(other, given))
                        .thenComparing(Comparator.naturalOrder()));
    }

    private static int allowedDistance(String one, String other) {
        int letters = Math.min(lettersOnly(one).length(), lettersOnly(other).length());
        return letters >= TWO_WRONG_FROM ? 2 : letters >= ONE_WRONG_FROM ? 1 : 0;
    }

    private static int distance(String one, String other) {
        if (!marks(one).equals(marks(other))) {
            return Integer.MAX_VALUE;
        }
        String a = lettersOnly(one);
        String b = lettersOnly(other);
        int distance = a.isEmpty() || b.isEmpty() ? -1 : DISTANCE.apply(a, b);
        return distance < 0 ? Integer.MAX_VALUE : distance;
    }

    /** What tells apart on purpose: its numbers and the letters that stand alone. */
    private static List<String> marks(String name) {
        return Arrays.stream(name.toLowerCase(Locale.ROOT).split("(?<=\\D)(?=\\d)|(?<=\\d)(?=\\D)|[^\\p{L}\\p{N}]+"))
                .filter(word -> word.length() == 1 || !word.isEmpty() && Character.isDigit(word.charAt(0)))
                .toList();
    }

    private static String lettersOnly(String name) {
        return Normalizer.normalize(name, Normalizer.Form.NFD)
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}]+", "");
    }
}
