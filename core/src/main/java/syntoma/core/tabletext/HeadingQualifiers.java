package syntoma.core.tabletext;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import syntoma.core.unit.Table;
import syntoma.core.unit.Text;

/** What a heading says beside what its column holds: which antenna, or which of several runs. */
final class HeadingQualifiers {
    /** Words that say nothing of which one it is. */
    private static final Set<String> FILLING = words("FILLING");

    private static final Map<String, String> ORDINALS = Map.of("first", "1", "second", "2", "third", "3");

    private static final Pattern ORDINAL = Pattern.compile("(?<number>\\d{1,2})(?:st|nd|rd|th)?");
    private static final Pattern FILLED_NUMBER = Pattern.compile("(?<word>\\p{L}+)(?<number>\\d{1,2})");

    private static final Set<String> SUMMARIES = words("SUMMARY");

    private static final Set<String> ELSE = words("ELSE");

    private static final Pattern BRACKETED = Pattern.compile("[(\\[]([^)\\]]{1,60})[)\\]]");
    private static final Pattern BETWEEN_WORDS = Pattern.compile("[^\\p{L}\\p{N}]+");

    private HeadingQualifiers() {}

    private static Set<String> words(String kind) {
        return Table.rows(HeadingQualifiers.class, "beside.csv").stream()
                .filter(row -> row[0].equals(kind))
                .flatMap(row -> Arrays.stream(row).skip(1))
                .collect(Collectors.toUnmodifiableSet());
    }

    /**
     * What a heading says beside what is known of it.
     *
     * @param text the heading
     * @param others its words that are not known, in small letters
     */
    static String of(String text, List<String> others) {
        String label = label(text, others);
        if (!label.isEmpty()) {
            return label;
        }
        Matcher bracketed = BRACKETED.matcher(text);
        while (bracketed.find()) {
            String inside = bracketed.group(1);
            List<String> words = Arrays.asList(Heading.words(inside).split(" "));
            if (Quantity.of(inside).isEmpty() && !label(inside, words).isEmpty()) {
                return label(inside, words);
            }
        }
        return "";
    }

    private static String label(String text, List<String> others) {
        List<String> kept = new ArrayList<>();
        for (String word : others) {
            Matcher ordinal = ORDINAL.matcher(word);
            Matcher filled = FILLED_NUMBER.matcher(word);
            if (ordinal.matches()) {
                kept.add(ordinal.group("number"));
            } else if (filled.matches() && isFilling(filled.group("word"))) {
                kept.add(filled.group("number"));
            } else if (ORDINALS.containsKey(word)) {
                kept.add(ORDINALS.get(word));
            } else if (!word.isEmpty() && !isFilling(word) && Quantity.of(word).isEmpty()) {
                kept.add(word);
            }
        }
        // as its owner wrote it
        String small = String.join(" ", kept);
        String written = BETWEEN_WORDS
                .splitAsStream(text)
                .filter(word -> kept.contains(word.toLowerCase(Locale.ROOT)))
                .collect(Collectors.joining(" "));
        return written.equalsIgnoreCase(small) ? written : Text.capital(small);
    }

    /** A word that only fills, also joined to another: speed, and what is called after it. */
    private static boolean isFilling(String word) {
        return FILLING.contains(word) || word.startsWith("speed");
    }

    /** Whether one of the words makes something else of what is known beside it: the height of a mast is no cell. */
    static boolean isOfElse(List<String> words) {
        return words.stream().anyMatch(ELSE::contains);
    }

    /** Whether it is a word for what was made of several runs. */
    static boolean isSummary(String rest) {
        return BETWEEN_WORDS.splitAsStream(rest.toLowerCase(Locale.ROOT)).anyMatch(SUMMARIES::contains);
    }
}
