package syntoma.core.tabletext;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import syntoma.core.reading.Figure;
import syntoma.core.reading.Measure.Kind;

/**
 * Rows that hold several measurements side by side: three runs (DL 1, DL 2, DL 3), or one for each antenna (Dome DL, Mast DL). What
 * tells them apart is what their headings say beside the figure.
 */
final class SideBySideMeasurements {
    private static final String FIRST = "1";

    /** Antennas, cells and legs of one reading, which one measurement holds. */
    private static final Pattern PARTS = Pattern.compile(
            "(?i)(?:lte|4g|nr|5g|3g|umts|p?s?cell|port|ant(?:enna)?|rx|main|aux|primary|secondary|diversity)?\\s?\\d{0,2}");

    private static final Set<Kind> TELLING = EnumSet.of(Kind.RATE, Kind.RADIO);

    private final List<Heading> headings;

    /** Columns of levels and rates, by figure; those of latencies are told apart by more than which run they are of. */
    private final Map<Figure, List<Integer>> measured = new EnumMap<>(Figure.class);

    private static boolean isTelling(Figure figure) {
        return figure.isNumber() && TELLING.contains(figure.measure().kind());
    }

    private SideBySideMeasurements(List<Heading> headings) {
        this.headings = headings;
        for (int i = 0; i < headings.size(); i++) {
            int place = i;
            headings.get(i)
                    .figure()
                    .filter(figure -> isTelling(figure) && !headings.get(place).isSummary())
                    .ifPresent(figure -> measured.computeIfAbsent(figure, f -> new ArrayList<>())
                            .add(place));
        }
        measured.values().removeIf(places -> places.size() < 2);
    }

    /** For each column the measurement that it belongs to, empty for all of a row; all empty where a row holds one. */
    static List<String> of(List<Heading> headings) {
        SideBySideMeasurements several = new SideBySideMeasurements(headings);
        List<String> named = several.namesOfHeadings();
        return named.stream().allMatch(String::isEmpty) ? several.repeatedHeadings() : named;
    }

    /** Whether measurements so called are runs. */
    static boolean areRuns(List<String> labels) {
        return labels.stream().filter(label -> !label.isEmpty()).allMatch(SideBySideMeasurements::isNumber);
    }

    private static boolean isNumber(String label) {
        return label.chars().allMatch(Character::isDigit);
    }

    /** By what stands in the headings beside the figures. */
    private List<String> namesOfHeadings() {
        // as the first of them is written
        Map<String, String> written = new HashMap<>();
        List<String> labels = new ArrayList<>(headings.stream()
                .map(Heading::remainder)
                .map(rest -> written.computeIfAbsent(rest.toLowerCase(Locale.ROOT), small -> rest))
                .toList());
        Set<String> several = new HashSet<>();
        for (List<Integer> places : measured.values()) {
            numberFirst(places, labels);
            List<String> own = places.stream().map(labels::get).toList();
            if (!own.contains("") && new HashSet<>(own).size() == own.size()) {
                several.addAll(own);
            }
        }
        boolean ofOneReading = !isRun()
                && several.stream().allMatch(label -> PARTS.matcher(label).matches());
        return ofOneReading || several.size() > Mapping.MOST_OF_A_ROW
                ? none()
                : labels.stream()
                        .map(label -> several.contains(label) ? label : "")
                        .toList();
    }

    /** Download, Download 2, Download 3: the one without a number is the first. */
    private static void numberFirst(List<Integer> places, List<String> labels) {
        List<Integer> bare =
                places.stream().filter(place -> labels.get(place).isEmpty()).toList();
        boolean others = places.stream().map(labels::get).allMatch(label -> isNumber(label) && !label.equals(FIRST));
        if (bare.size() == 1 && others) {
            labels.set(bare.get(0), FIRST);
        }
    }

    /** The same headings over and over: Download, Upload, Download, Upload. */
    private List<String> repeatedHeadings() {
        List<List<Integer>> alike = measured.values().stream()
                .filter(places -> places.stream().map(headings::get).distinct().count() == 1)
                .toList();
        Set<Integer> times = alike.stream().map(List::size).collect(Collectors.toSet());
        if (alike.size() < measured.size() || times.size() != 1 || !isRun() || measured.isEmpty()) {
            return none();
        }
        int runs = alike.get(0).size();
        List<String> labels = new ArrayList<>(none());
        Map<Heading, List<Integer>> all = IntStream.range(0, headings.size())
                .boxed()
                .filter(i -> headings.get(i).figure().isPresent())
                .collect(Collectors.groupingBy(headings::get));
        all.values().stream()
                .filter(places -> places.size() == runs && runs <= Mapping.MOST_OF_A_ROW)
                .forEach(places ->
                        IntStream.range(0, runs).forEach(i -> labels.set(places.get(i), String.valueOf(i + 1))));
        return labels;
    }

    /** Levels alone, numbered, are those of several antennas or cells. */
    private boolean isRun() {
        return measured.keySet().stream().anyMatch(figure -> figure.measure().kind() == Kind.RATE);
    }

    private List<String> none() {
        return Stream.generate(() -> "").limit(headings.size()).toList();
    }
}
