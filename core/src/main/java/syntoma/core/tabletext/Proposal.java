package syntoma.core.tabletext;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import syntoma.core.reading.Figure;

/**
 * What a table seems to hold, and what has to be asked about it.
 *
 * @param columns one for each of the table's
 * @param reasons for each column, why it is taken so, in the same order; empty where its heading says it
 * @param orders in which all its dates can be read; more than one where it does not settle that
 * @param questions what it cannot know
 */
public record Proposal(List<Column> columns, List<String> reasons, Set<DateOrder> orders, Set<Question> questions) {

    /** What a table does not say. */
    public enum Question {
        /** Whether the day or the month stands first. */
        DATE_ORDER,
        /** In which time zone the times are. */
        ZONE,
        /** Whether a column of signal levels holds RSRP or RSSI. */
        LEVEL,
        /** Which setup was used. */
        SETUP,
        /** Where it was. */
        CAMPSITE
    }

    private static final String BARS = "left out: makers draw bars as they like, so nothing is computed from them";

    /**
     * Proposes what each column is, by its heading and by what the first rows hold.
     *
     * @param rows some rows of the table, each as wide as the header
     */
    public static Proposal of(List<String> header, List<List<String>> rows) {
        List<Column> columns = new ArrayList<>();
        List<String> reasons = new ArrayList<>();
        Set<Figure> taken = EnumSet.noneOf(Figure.class);
        Set<Column.Use> moments = EnumSet.noneOf(Column.Use.class);
        for (String name : header) {
            Heading heading = Heading.of(name);
            boolean moment = heading.use() == Column.Use.DATE || heading.use() == Column.Use.CLOCK;
            if (heading.figure().filter(f -> !taken.add(f)).isPresent() || moment && !moments.add(heading.use())) {
                columns.add(Column.of(name, Column.Use.NOTE));
                reasons.add("kept in the note: another column holds this already");
            } else {
                columns.add(column(name, heading));
                reasons.add(reason(heading));
            }
        }
        List<Column> read = List.copyOf(columns);
        Set<DateOrder> orders = orders(read, rows);
        Set<Question> questions = EnumSet.noneOf(Question.class);
        if (orders.size() != 1) {
            questions.add(Question.DATE_ORDER);
        }
        if (!hasOffsets(read, rows)) {
            questions.add(Question.ZONE);
        }
        if (taken.contains(Figure.RSRP_DBM) && read.stream().anyMatch(Proposal::isVagueLevel)) {
            questions.add(Question.LEVEL);
        }
        if (!taken.contains(Figure.SETUP)) {
            questions.add(Question.SETUP);
        }
        if (!taken.contains(Figure.CAMPSITE)) {
            questions.add(Question.CAMPSITE);
        }
        return new Proposal(read, List.copyOf(reasons), orders, questions);
    }

    /** The order of the dates where the table settles it. */
    public Optional<DateOrder> order() {
        return orders.size() == 1 ? orders.stream().findFirst() : Optional.empty();
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
                if (MomentText.whole(cell).isPresent()) {
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

    /** The day that a cell is in each order in which it is one. */
    private static Map<DateOrder, LocalDate> readings(String cell) {
        Map<DateOrder, LocalDate> readings = new EnumMap<>(DateOrder.class);
        for (DateOrder order : DateOrder.values()) {
            MomentText.both(cell, order)
                    .map(MomentText.Both::date)
                    .or(() -> MomentText.date(cell, order))
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
                        .allMatch(row -> MomentText.whole(row.get(place)).isPresent());
            }
        }
        return false;
    }
}
