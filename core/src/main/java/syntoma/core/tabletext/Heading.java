package syntoma.core.tabletext;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import syntoma.core.reading.Figure;
import syntoma.core.reading.Measure.Kind;
import syntoma.core.unit.Table;

/**
 * What the heading of a column says.
 *
 * @param use of its column: the note where it says nothing that is known, left out where it is called after bars
 * @param figure of a column that holds one
 * @param unit that it names
 * @param knownAs the words that say so
 * @param remainder what is beside them: “Dome” of “Dome DL (Mbps)”, “2” of “Run 2 DL”; empty where nothing does
 */
record Heading(Column.Use use, Optional<Figure> figure, Quantity unit, String knownAs, String remainder) {
    /** Characters of a heading or a cell by which it is judged. Patterns look back within them, so that they must not be without end. */
    static final int LONGEST_JUDGED = 200;

    /** Words of the longest name there is. */
    private static final int LONGEST_NAME = 4;

    /** A name with the word behind it that qualifies it, where nothing stands between: DOWNLOADSPEED. */
    private static final Pattern RUN_TOGETHER =
            Pattern.compile("(?<name>\\p{L}{2,}?)(?:speed|rate|level|strength|name|mbps|mbits?|dbm|db|ms)");

    /** An s at the end, which is no plural: “rtt_s”. */
    private static final Pattern IN_SECONDS = Pattern.compile("(?i)[\\s_]s$");

    /** An amount of data, which no figure is: “Data down (MB)”, “Upload (GB)”. “Down (MB)” alone is a rate to those who write so. */
    private static final Pattern AMOUNT = Pattern.compile(
            "(?i)[(\\[]\\s*g(?:i?b|byte|o)\\s*[)\\]]|(?:data|usage|used|volume|daten|verbrauch|données|datos)\\P{L}.*[(\\[]\\s*m(?:i?b|byte|o)\\s*[)\\]]");

    private static final Map<String, String> NAMES = new HashMap<>();

    private static final Set<String> MEASURED =
            Figure.numbers().stream().map(Figure::name).collect(Collectors.toUnmodifiableSet());

    static {
        for (String[] row : Table.rows(Heading.class, "headings.csv")) {
            for (int i = 1; i < row.length; i++) {
                NAMES.putIfAbsent(row[i], row[0]);
            }
        }
        for (Figure figure : Figure.values()) {
            NAMES.put(words(figure.label()), figure.name());
            NAMES.put(words(figure.field()), figure.name());
        }
    }

    /** A text as far as it is judged; what is longer than any heading, figure, time or place is prose. */
    static String startToJudge(String text) {
        return text.length() <= LONGEST_JUDGED ? text : text.substring(0, LONGEST_JUDGED);
    }

    /** Reads a heading, such as “Download (MB/s)”, “Signal [dBm]” or “DL Mbit/s”. */
    static Heading of(String whole) {
        String text = startToJudge(whole);
        List<String> words = List.of(words(text).split(" "));
        KnownWords found = KnownWords.in(words);
        if (found == null || found.isMeasured() && AMOUNT.matcher(text).find()) {
            return new Heading(Column.Use.NOTE, Optional.empty(), unit(text), "", HeadingQualifiers.of(text, words));
        }
        List<String> others = new ArrayList<>(words.subList(0, found.start));
        others.addAll(words.subList(found.start + found.length, words.size()));
        if (!found.isMeasured() && HeadingQualifiers.isOfElse(others)) {
            return new Heading(Column.Use.NOTE, Optional.empty(), Quantity.OWN, "", "");
        }
        if (!found.number.isEmpty()) {
            others.add(found.number);
        }
        return ofName(
                found.meaning.equals("LAT") && unit(text) == Quantity.MILLISECOND
                        ? Figure.IDLE_MS.name()
                        : found.meaning,
                unit(text),
                IN_SECONDS.matcher(text.strip()).find(),
                String.join(" ", words.subList(found.start, found.start + found.length)),
                HeadingQualifiers.of(text, others));
    }

    /** The longest run of words that is known; what stands around it qualifies it, or is its unit. */
    private record KnownWords(String meaning, int start, int length, String number) {
        static @Nullable KnownWords in(List<String> words) {
            for (int length = Math.min(words.size(), LONGEST_NAME); length > 0; length--) {
                KnownWords found = null;
                for (int start = 0; start + length <= words.size(); start++) {
                    KnownWords known = at(words, start, length);
                    // of several what is measured, before what it was measured with: Mast DL
                    if (known != null
                            && (found == null || !found.isMeasured() && !found.isMoment() && known.isMeasured())) {
                        found = known;
                    }
                }
                if (found != null) {
                    return found;
                }
            }
            for (int i = 0; i < words.size(); i++) {
                Matcher run = RUN_TOGETHER.matcher(words.get(i));
                if (run.matches() && NAMES.containsKey(run.group("name"))) {
                    return new KnownWords(NAMES.get(run.group("name")), i, 1, "");
                }
            }
            return null;
        }

        private static @Nullable KnownWords at(List<String> words, int start, int length) {
            String run = String.join(" ", words.subList(start, start + length));
            if (NAMES.containsKey(run)) {
                return new KnownWords(NAMES.get(run), start, length, "");
            }
            // one of several runs side by side: DL1, DL2, DL3
            String bare = run.replaceFirst("\\d$", "");
            return NAMES.containsKey(bare)
                    ? new KnownWords(NAMES.get(bare), start, length, run.substring(bare.length()))
                    : null;
        }

        private boolean isMeasured() {
            return MEASURED.contains(meaning);
        }

        private boolean isMoment() {
            return meaning.equals("DATE") || meaning.equals("CLOCK");
        }
    }

    /** Whether a figure is the time that an answer takes. */
    static boolean isLatency(Figure figure) {
        return figure.isNumber() && figure.measure().kind() == Kind.LATENCY;
    }

    private static boolean isTime(Figure figure) {
        return isLatency(figure) || figure.isNumber() && figure.measure().kind() == Kind.JITTER;
    }

    private static Heading ofName(String name, Quantity unit, boolean inSeconds, String known, String rest) {
        Column.Use use =
                switch (name) {
                    case "DATE" -> Column.Use.DATE;
                    case "CLOCK" -> Column.Use.CLOCK;
                    case "COORDINATES" -> Column.Use.COORDINATES;
                    case "BARS" -> Column.Use.LEFT_OUT;
                    default -> Column.Use.FIGURE;
                };
        Optional<Figure> figure = use == Column.Use.FIGURE ? Optional.of(Figure.valueOf(name)) : Optional.empty();
        boolean seconds = unit == Quantity.OWN && figure.filter(Heading::isTime).isPresent() && inSeconds;
        return new Heading(use, figure, seconds ? Quantity.SECOND : unit, known, rest);
    }

    /** Whether it is called after what was made of several runs, such as their average. */
    boolean isSummary() {
        return HeadingQualifiers.isSummary(remainder);
    }

    /** The unit that a heading names, in brackets or as its last words. */
    private static Quantity unit(String text) {
        int open = Math.max(text.lastIndexOf('('), text.lastIndexOf('['));
        int close = Math.max(text.lastIndexOf(')'), text.lastIndexOf(']'));
        if (open >= 0 && close > open) {
            Optional<Quantity> unit = Quantity.of(text.substring(open + 1, close));
            if (unit.isPresent()) {
                return unit.get();
            }
        }
        for (String word : text.strip().split("[\\s_,;]+")) {
            Optional<Quantity> unit = Quantity.of(word);
            if (unit.isPresent() && !word.equals("s")) {
                return unit.get();
            }
        }
        return Quantity.OWN;
    }

    /** A heading's words in lower case, single spaces between them, what stands in brackets left out. */
    static String words(String text) {
        StringBuilder words = new StringBuilder(text.length());
        int depth = 0;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == '(' || c == '[') {
                depth++;
            } else if (c == ')' || c == ']') {
                depth = Math.max(0, depth - 1);
            } else if (depth == 0) {
                boolean capital = i > 0 && Character.isUpperCase(c) && Character.isLowerCase(text.charAt(i - 1));
                boolean letter = Character.isLetterOrDigit(c);
                if ((capital || !letter) && words.length() > 0 && words.charAt(words.length() - 1) != ' ') {
                    words.append(' ');
                }
                if (letter) {
                    words.append(Character.toLowerCase(c));
                }
            }
        }
        return words.toString().strip().toLowerCase(Locale.ROOT);
    }
}
