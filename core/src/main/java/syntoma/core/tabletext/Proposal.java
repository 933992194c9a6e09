package syntoma.core.tabletext;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import syntoma.core.reading.Figure;
import syntoma.core.unit.Text;

/**
 * What a table seems to hold, and what has to be asked about it.
 *
 * @param columns one for each of the table's
 * @param reasons for each column, why it is taken so, in the same order; empty where its heading says it
 * @param orders in which all its dates can be read; more than one where it does not settle that
 * @param each what tells the measurements of a row apart, where it holds several and they are runs
 * @param questions what it cannot know
 */
public record Proposal(
        List<Column> columns,
        List<String> reasons,
        Set<DateOrder> orders,
        Optional<Each> each,
        Set<Question> questions) {

    /** What a table does not say. */
    public enum Question {
        /** Whether the day or the month stands first. */
        DATE_ORDER,
        /** In which time zone the times are. */
        ZONE,
        /** Of which year its dates are, where they name none. */
        YEAR,
        /** At what time of the day, where it names only the day. */
        CLOCK,
        /** Whether an empty cell means what is above it. */
        ABOVE,
        /** What tells the measurements of a row apart. */
        EACH,
        /** Whether a column of signal levels holds RSRP or RSSI. */
        LEVEL,
        /** Which setup was used. */
        SETUP,
        /** Where it was. */
        CAMPSITE
    }

    private static final Pattern BAND = Pattern.compile("(?i)[bn]\\d{1,3}");

    private static final Pattern FRACTION = Pattern.compile("0[.,]\\d+");

    private static final String PLAIN_BANDS = "a number is a band of LTE, unless the technology beside it is NR";
    private static final String BARS = "left out: every maker draws bars differently, so they are not used";

    /**
     * Proposes what each column is, by its heading and by what the first rows hold.
     *
     * @param rows some rows of the table, each as wide as the header
     */
    public static Proposal of(List<String> header, List<List<String>> rows) {
        return ofPlain(
                header.stream().map(Proposal::startToJudge).toList(),
                rows.stream()
                        .map(row -> row.stream().map(Proposal::startToJudge).toList())
                        .toList());
    }

    private static String startToJudge(String cell) {
        return Text.normalise(Heading.startToJudge(cell));
    }

    private static Proposal ofPlain(List<String> header, List<List<String>> rows) {
        List<Column> columns = new ArrayList<>();
        List<String> reasons = new ArrayList<>();
        Set<String> taken = new HashSet<>();
        List<Heading> headings = header.stream().map(Heading::of).toList();
        List<String> labels = SideBySideMeasurements.of(headings);
        boolean runs = SideBySideMeasurements.areRuns(labels);
        boolean oneMoment = headings.stream()
                        .filter(h -> h.use() == Column.Use.DATE
                                || h.use() == Column.Use.CLOCK
                                || h.figure().equals(Optional.of(Figure.TAKEN_AT)))
                        .count()
                == 1;
        for (int i = 0; i < header.size(); i++) {
            Heading heading = headings.get(i);
            ProposedColumn proposed;
            if (oneMoment && isWholeMoment(headings, i, rows)) {
                proposed = new ProposedColumn(
                        Column.of(header.get(i), Figure.TAKEN_AT, Quantity.OWN), "its cells hold the day and the time");
            } else if (isSummaryOfOthers(headings, i)) {
                proposed = new ProposedColumn(
                        Column.of(header.get(i), Column.Use.NOTE),
                        "kept in the note: the runs that it sums up are read themselves");
            } else {
                proposed = proposeColumn(header.get(i), heading, i, rows);
            }
            if (!isFree(proposed.column, labels.get(i), taken)) {
                proposed = new ProposedColumn(
                        Column.of(header.get(i), Column.Use.NOTE),
                        "kept in the note: another column holds this already");
            }
            columns.add(proposed.column.ofOne(labels.get(i)));
            reasons.add(Stream.of(columnLabel(labels.get(i), runs), proposed.reason)
                    .filter(part -> !part.isEmpty())
                    .collect(Collectors.joining("; ")));
        }
        List<Column> read = List.copyOf(columns);
        Set<DateOrder> orders = orders(read, rows);
        Optional<Each> each =
                labels.stream().anyMatch(label -> !label.isEmpty()) && runs ? Optional.of(Each.RUN) : Optional.empty();
        return new Proposal(read, List.copyOf(reasons), orders, each, questions(read, rows, orders, each));
    }

    private static String columnLabel(String label, boolean runs) {
        return label.isEmpty() ? "" : runs ? "run " + label + " of its row" : "of “" + label + "” alone";
    }

    /** A column and why. */
    private record ProposedColumn(Column column, String reason) {}

    private static ProposedColumn proposeColumn(String name, Heading heading, int place, List<List<String>> rows) {
        if (heading.use() == Column.Use.COORDINATES && !holdsPlaces(place, rows)) {
            return new ProposedColumn(
                    Column.of(name, Column.Use.NOTE), "kept in the note: its cells are no coordinates");
        }
        if (heading.figure().equals(Optional.of(Figure.CELL_ID)) && holdsAll(BAND, place, rows)) {
            return new ProposedColumn(Column.of(name, Figure.BAND, Quantity.OWN), "its cells hold bands");
        }
        if (heading.unit() == Quantity.OWN
                && heading.figure().filter(Heading::isLatency).isPresent()
                && holdsAll(FRACTION, place, rows)) {
            return new ProposedColumn(
                    Column.of(name, heading.figure().orElseThrow(), Quantity.SECOND),
                    "in s: no answer comes in less than a ms");
        }
        return new ProposedColumn(
                column(name, heading),
                heading.figure().equals(Optional.of(Figure.BAND)) && holdsNumbers(place, rows)
                        ? PLAIN_BANDS
                        : reason(heading));
    }

    private static boolean holdsAll(Pattern pattern, int place, List<List<String>> rows) {
        List<String> cells = rows.stream()
                .map(row -> row.get(place).strip())
                .filter(cell -> !NumberText.isMissing(cell))
                .toList();
        return !cells.isEmpty()
                && cells.stream().allMatch(cell -> pattern.matcher(cell).matches());
    }

    private static boolean holdsPlaces(int place, List<List<String>> rows) {
        return rows.stream().anyMatch(row -> Mapping.place(row.get(place)).isPresent());
    }

    /** Whether nothing before it holds the same of the same measurement. */
    private static boolean isFree(Column column, String label, Set<String> taken) {
        if (column.use() == Column.Use.NOTE || column.use() == Column.Use.LEFT_OUT) {
            return true;
        }
        String what = column.figure().map(Figure::name).orElse(column.use().name());
        return !taken.contains(what + "/") && taken.add(what + "/" + label);
    }

    /** An average, a best: kept apart where what it was made of is there. */
    private static boolean isSummaryOfOthers(List<Heading> headings, int place) {
        Heading heading = headings.get(place);
        return heading.isSummary()
                && heading.figure().isPresent()
                && headings.stream().anyMatch(other -> other.figure().equals(heading.figure()) && !other.isSummary());
    }

    private static Set<Question> questions(
            List<Column> columns, List<List<String>> rows, Set<DateOrder> orders, Optional<Each> each) {
        Set<Question> questions = EnumSet.noneOf(Question.class);
        if (orders.size() != 1) {
            questions.add(Question.DATE_ORDER);
        }
        if (!hasOffsets(columns, rows)) {
            questions.add(Question.ZONE);
        }
        if (namesNoYear(columns, rows)) {
            questions.add(Question.YEAR);
        }
        if (namesOnlyDays(columns, rows)) {
            questions.add(Question.CLOCK);
        }
        if (leavesOut(columns, rows)) {
            questions.add(Question.ABOVE);
        }
        if (each.isEmpty() && columns.stream().anyMatch(c -> !c.of().isEmpty())) {
            questions.add(Question.EACH);
        }
        if (columns.stream().anyMatch(Proposal::isVagueLevel)) {
            questions.add(Question.LEVEL);
        }
        if (columns.stream().noneMatch(c -> c.is(Figure.SETUP))) {
            questions.add(Question.SETUP);
        }
        if (columns.stream().noneMatch(c -> c.is(Figure.CAMPSITE))) {
            questions.add(Question.CAMPSITE);
        }
        return questions;
    }

    /** Whether rows below the first leave out where, when or with what they were measured. */
    private static boolean leavesOut(List<Column> columns, List<List<String>> rows) {
        return IntStream.range(0, columns.size())
                .filter(i -> Mapping.isNamedOnce(columns.get(i)))
                .filter(i -> !rows.isEmpty() && !rows.get(0).get(i).isBlank())
                .anyMatch(i -> rows.stream().anyMatch(row -> row.get(i).isBlank() && isMeasured(columns, row)));
    }

    private static boolean isMeasured(List<Column> columns, List<String> row) {
        boolean summary = row.stream()
                .filter(cell -> !cell.isBlank())
                .findFirst()
                .filter(HeadingQualifiers::isSummary)
                .isPresent();
        return !summary
                && IntStream.range(0, columns.size())
                        .anyMatch(i -> columns.get(i)
                                        .figure()
                                        .filter(f -> f.isNumber() || f == Figure.OUTCOME)
                                        .isPresent()
                                && !NumberText.isMissing(row.get(i)));
    }

    /** Whether a row names its day by day and month alone. */
    private static boolean namesNoYear(List<Column> columns, List<List<String>> rows) {
        return days(columns).stream().anyMatch(i -> rows.stream()
                .map(row -> row.get(i))
                .anyMatch(cell -> !readings(cell).isEmpty()
                        && MomentText.moment(cell).isEmpty()
                        && readings(cell, Dates::withYear).isEmpty()));
    }

    private static List<Integer> days(List<Column> columns) {
        return IntStream.range(0, columns.size())
                .filter(i -> columns.get(i).use() == Column.Use.DATE
                        || columns.get(i).is(Figure.TAKEN_AT))
                .boxed()
                .toList();
    }

    /** Whether a row names a day and no column the time of it. */
    private static boolean namesOnlyDays(List<Column> columns, List<List<String>> rows) {
        if (columns.stream().anyMatch(c -> c.use() == Column.Use.CLOCK)) {
            return false;
        }
        List<Integer> days = days(columns);
        return rows.stream()
                .anyMatch(
                        row -> days.stream().anyMatch(i -> !readings(row.get(i)).isEmpty())
                                && days.stream().noneMatch(i -> holdsBoth(row.get(i))));
    }

    /** What its headings call the measurements of a row; none where it holds one. */
    public List<String> labels() {
        return Mapping.labels(columns);
    }

    /** The order of the dates where the table settles it. */
    public Optional<DateOrder> order() {
        return orders.size() == 1 ? orders.stream().findFirst() : Optional.empty();
    }

    /** A column called after the day or the time alone, whose cells hold both, where no other has the other. */
    private static boolean isWholeMoment(List<Heading> headings, int place, List<List<String>> rows) {
        Column.Use use = headings.get(place).use();
        List<String> cells = rows.stream()
                .map(row -> row.get(place))
                .filter(cell -> !cell.isBlank())
                .toList();
        return (use == Column.Use.DATE || use == Column.Use.CLOCK)
                && !cells.isEmpty()
                && cells.stream().allMatch(Proposal::holdsBoth);
    }

    private static boolean holdsNumbers(int place, List<List<String>> rows) {
        return rows.stream().map(row -> row.get(place).strip()).anyMatch(cell -> cell.matches("\\d{1,3}"));
    }

    private static boolean holdsBoth(String cell) {
        return MomentText.moment(cell).isPresent()
                || Arrays.stream(DateOrder.values())
                        .anyMatch(order -> MomentText.dateAndTime(cell, Dates.ofAnyYear(order))
                                .isPresent());
    }

    private static Column column(String name, Heading heading) {
        return heading.figure()
                .map(figure -> Column.of(name, figure, heading.unit()))
                .orElseGet(() -> Column.of(name, heading.use()));
    }

    private static String reason(Heading heading) {
        return switch (heading.use()) {
            case FIGURE ->
                heading.unit() == Quantity.OWN ? "" : "in " + heading.unit().label() + ", by its heading";
            case DATE, CLOCK -> "";
            case COORDINATES -> "latitude and longitude in one";
            case LEFT_OUT -> BARS;
            case NOTE -> "kept in the note: its heading is not known";
        };
    }

    /** A column called after the signal, and not after what of it is measured. */
    private static boolean isVagueLevel(Column column) {
        return column.is(Figure.RSRP_DBM) && !Heading.words(column.heading()).contains("rsrp");
    }

    /** The orders in which all dates of the rows can be read. */
    private static Set<DateOrder> orders(List<Column> columns, List<List<String>> rows) {
        Set<DateOrder> orders = EnumSet.allOf(DateOrder.class);
        boolean any = false;
        for (int i = 0; i < columns.size(); i++) {
            Column column = columns.get(i);
            if (column.use() != Column.Use.DATE && !column.is(Figure.TAKEN_AT)) {
                continue;
            }
            for (List<String> row : rows) {
                String cell = row.get(i);
                if (MomentText.moment(cell).isPresent()) {
                    continue;
                }
                Map<DateOrder, LocalDate> readings = readings(cell);
                if (!isSettledAlready(readings)) {
                    any = true;
                    orders.retainAll(readings.keySet());
                }
            }
        }
        if (!any) {
            return EnumSet.of(DateOrder.YEAR_FIRST);
        }
        return orders.isEmpty() ? EnumSet.allOf(DateOrder.class) : orders;
    }

    /** The day that a cell is in each order in which it is one, of whichever year. */
    private static Map<DateOrder, LocalDate> readings(String cell) {
        return readings(cell, Dates::ofAnyYear);
    }

    private static Map<DateOrder, LocalDate> readings(String cell, Function<DateOrder, Dates> written) {
        Map<DateOrder, LocalDate> readings = new EnumMap<>(DateOrder.class);
        for (DateOrder order : DateOrder.values()) {
            Dates dates = written.apply(order);
            MomentText.dateAndTime(cell, dates)
                    .map(MomentText.Both::date)
                    .or(() -> MomentText.date(cell, dates))
                    .ifPresent(date -> readings.put(order, date));
        }
        return readings;
    }

    /** No date at all, or one that names its month and is the same in every order. */
    private static boolean isSettledAlready(Map<DateOrder, LocalDate> readings) {
        return readings.isEmpty()
                || readings.size() == DateOrder.values().length
                        && readings.values().stream().distinct().count() == 1;
    }

    private static boolean hasOffsets(List<Column> columns, List<List<String>> rows) {
        for (int i = 0; i < columns.size(); i++) {
            int place = i;
            if (columns.get(i).is(Figure.TAKEN_AT)) {
                return rows.stream()
                        .allMatch(row -> MomentText.moment(row.get(place)).isPresent());
            }
        }
        return false;
    }
}
