package syntoma.core.tabletext;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import syntoma.core.place.Coordinates;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Outcome;
import syntoma.core.unit.Text;

/**
 * How a table kept by hand is read: its columns, and what no cell says.
 *
 * @param columns one for each of the table's, in its order
 * @param order of the dates
 * @param zone of the times that name no offset
 * @param year of the dates that name none
 * @param clock of the rows that name only their day
 * @param hasDecimalComma whether numbers have a decimal comma
 * @param takesFromAbove whether an empty cell of the day, the time, the campsite or the setup means what is above it
 * @param each what tells the measurements of a row apart, where it holds several
 * @param fixedValues figures that hold for every row, such as the setup of a log of one setup
 */
public record Mapping(
        List<Column> columns,
        DateOrder order,
        ZoneId zone,
        Optional<Integer> year,
        Optional<LocalTime> clock,
        boolean hasDecimalComma,
        boolean takesFromAbove,
        Each each,
        Map<Figure, String> fixedValues) {
    /** The most measurements that a row may hold. */
    public static final int MOST_OF_A_ROW = 40;

    private static final DateTimeFormatter WHOLE = DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH:mm:ssxxx");

    /** What people write for how a measurement ended. */
    private static final Map<String, Outcome> OUTCOMES = Map.ofEntries(
            Map.entry("ok", Outcome.OK),
            Map.entry("yes", Outcome.OK),
            Map.entry("good", Outcome.OK),
            Map.entry("done", Outcome.OK),
            Map.entry("y", Outcome.OK),
            Map.entry("ja", Outcome.OK),
            Map.entry("oui", Outcome.OK),
            Map.entry("sí", Outcome.OK),
            Map.entry("pass", Outcome.OK),
            Map.entry("✓", Outcome.OK),
            Map.entry("✔", Outcome.OK),
            Map.entry("✅", Outcome.OK),
            Map.entry("✗", Outcome.FAILED),
            Map.entry("✘", Outcome.FAILED),
            Map.entry("❌", Outcome.FAILED),
            Map.entry("no", Outcome.FAILED),
            Map.entry("nein", Outcome.FAILED),
            Map.entry("non", Outcome.FAILED),
            Map.entry("fail", Outcome.FAILED),
            Map.entry("failed", Outcome.FAILED),
            Map.entry("error", Outcome.FAILED),
            Map.entry("err", Outcome.FAILED),
            Map.entry("aborted", Outcome.FAILED),
            Map.entry("fehler", Outcome.FAILED),
            Map.entry("fehlgeschlagen", Outcome.FAILED),
            Map.entry("échec", Outcome.FAILED),
            Map.entry("timeout", Outcome.TIMED_OUT),
            Map.entry("time out", Outcome.TIMED_OUT),
            Map.entry("timed out", Outcome.TIMED_OUT),
            Map.entry("no service", Outcome.NO_SERVICE),
            Map.entry("no signal", Outcome.NO_SERVICE),
            Map.entry("dead", Outcome.NO_SERVICE),
            Map.entry("kein netz", Outcome.NO_SERVICE),
            Map.entry("kein empfang", Outcome.NO_SERVICE),
            Map.entry("pas de réseau", Outcome.NO_SERVICE));

    public Mapping {
        columns = List.copyOf(columns);
        fixedValues = Map.copyOf(fixedValues);
        int several = labels(columns).size();
        if (several > MOST_OF_A_ROW) {
            throw new IllegalArgumentException(
                    "columns are of " + several + " measurements of a row; allowed are up to " + MOST_OF_A_ROW);
        }
    }

    /**
     * A row with what its empty cells mean, where they mean what is above them.
     *
     * @param over the row above, filled in the same way; empty for the first
     */
    public List<String> fill(List<String> cells, List<String> over) {
        if (!takesFromAbove || over.size() != cells.size()) {
            return cells;
        }
        return IntStream.range(0, cells.size())
                .mapToObj(i -> cells.get(i).isBlank() && isNamedOnce(columns.get(i)) ? over.get(i) : cells.get(i))
                .toList();
    }

    /** A column of what people write once for several rows. */
    static boolean isNamedOnce(Column column) {
        return isOfMoment(column) || column.is(Figure.CAMPSITE) || column.is(Figure.SETUP);
    }

    /**
     * The texts of the figures of each measurement of a row, as the reader of measurements takes them. What cannot be read stays
     * as it stands, so that the row is refused with the cell in the message.
     *
     * <p>Of several measurements side by side one without a figure of its own is none; figures that are measured and stand in the
     * row once belong to its first.
     */
    public List<Map<Figure, String>> measurements(List<String> typed) {
        List<String> cells = typed.stream().map(Text::normalise).toList();
        List<Map<Figure, String>> measurements = new ArrayList<>();
        for (String label : labels(columns)) {
            if (hasFigureOfItsOwn(label, cells)) {
                measurements.add(texts(cells, label, measurements.size()));
            }
        }
        return measurements.isEmpty() ? List.of(texts(cells, "", 0)) : measurements;
    }

    static List<String> labels(List<Column> columns) {
        return columns.stream()
                .map(Column::of)
                .filter(of -> !of.isEmpty())
                .distinct()
                .toList();
    }

    private boolean hasFigureOfItsOwn(String label, List<String> cells) {
        return IntStream.range(0, columns.size())
                .anyMatch(i -> columns.get(i).of().equals(label)
                        && columns.get(i).figure().filter(Figure::isNumber).isPresent()
                        && !NumberText.isMissing(cells.get(i)));
    }

    private Map<Figure, String> texts(List<String> cells, String label, int place) {
        Map<Figure, String> texts = new EnumMap<>(Figure.class);
        texts.putAll(fixedValues);
        if (!label.isEmpty() && each == Each.SETUP) {
            texts.put(Figure.SETUP, label);
        } else if (!label.isEmpty() && each == Each.CARRIER) {
            texts.put(Figure.CARRIER, label);
        }
        Optional<Outcome> failure = Optional.empty();
        for (int i = 0; i < columns.size(); i++) {
            Column column = columns.get(i);
            String cell = cells.get(i);
            if (!column.belongsTo(label) || NumberText.isMissing(cell)) {
                continue;
            }
            if (column.use() == Column.Use.COORDINATES) {
                place(cell, texts);
            }
            if (column.use() != Column.Use.FIGURE) {
                continue;
            }
            Figure figure = column.figure().orElseThrow();
            if (figure.isNumber() && column.of().isEmpty() && place > 0) {
                continue;
            }
            Optional<Outcome> word = figure.isNumber() ? outcome(cell) : Optional.empty();
            if (word.isPresent() && word.get() != Outcome.OK) {
                failure = word;
            } else {
                texts.put(figure, figure == Figure.TAKEN_AT ? cell : text(cell, figure, column.unit()));
            }
        }
        texts.computeIfPresent(Figure.BAND, (figure, cell) -> BandText.of(cell, texts.getOrDefault(Figure.RAT, "")));
        moment(cells, label, place).ifPresent(moment -> texts.put(Figure.TAKEN_AT, moment));
        outcome(texts, failure).ifPresent(outcome -> texts.put(Figure.OUTCOME, outcome));
        note(cells, label).ifPresent(note -> texts.put(Figure.NOTE, note));
        return texts;
    }

    private static void place(String cell, Map<Figure, String> texts) {
        Optional<Coordinates> place = place(cell);
        texts.put(Figure.LAT, place.map(at -> degreesText(at.lat())).orElse(cell));
        texts.put(Figure.LON, place.map(at -> degreesText(at.lon())).orElse(cell));
    }

    /** The place that a cell names in full. */
    static Optional<Coordinates> place(String cell) {
        try {
            return Optional.of(Coordinates.read(cell));
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }

    private static String degreesText(double degrees) {
        return BigDecimal.valueOf(degrees).stripTrailingZeros().toPlainString();
    }

    private String text(String cell, Figure figure, Quantity unit) {
        if (figure.isNumber() || figure == Figure.LAT || figure == Figure.LON) {
            return NumberText.read(cell, figure, unit, hasDecimalComma).orElse(cell);
        }
        return cell;
    }

    /**
     * When a measurement was taken.
     *
     * @param place among those of its row: of those for which the row names one moment each is a second later than the one before,
     *     so that none is taken for another
     */
    private Optional<String> moment(List<String> cells, String label, int place) {
        int later =
                columns.stream().anyMatch(c -> !c.of().isEmpty() && c.of().equals(label) && isOfMoment(c)) ? 0 : place;
        Dates dates = new Dates(order, year);
        Optional<LocalDate> date = Optional.empty();
        Optional<LocalTime> clock = Optional.empty();
        for (int i = 0; i < columns.size(); i++) {
            Column column = columns.get(i);
            String cell = cells.get(i).strip();
            if (!column.belongsTo(label)) {
                continue;
            }
            if (isOfMoment(column)) {
                Optional<OffsetDateTime> whole = MomentText.moment(cell);
                if (whole.isPresent()) {
                    return Optional.of(WHOLE.format(whole.get().plusSeconds(later)));
                }
                Optional<MomentText.Both> both =
                        column.use() == Column.Use.CLOCK ? Optional.empty() : MomentText.dateAndTime(cell, dates);
                if (both.isPresent()) {
                    date = Optional.of(both.get().date());
                    clock = Optional.of(both.get().clock());
                } else if (column.use() == Column.Use.CLOCK) {
                    clock = MomentText.clock(cell)
                            .or(() -> MomentText.dateAndTime(cell, dates).map(MomentText.Both::clock));
                } else {
                    date = MomentText.date(cell, dates);
                }
            }
        }
        if (date.isPresent() && clock.isEmpty() && !namesClock(cells, label)) {
            clock = this.clock;
        }
        if (date.isEmpty() || clock.isEmpty()) {
            return writtenTime(cells, label);
        }
        return Optional.of(
                WHOLE.format(date.get().atTime(clock.get()).atZone(zone).plusSeconds(later)));
    }

    private static boolean isOfMoment(Column column) {
        return column.is(Figure.TAKEN_AT) || column.use() == Column.Use.DATE || column.use() == Column.Use.CLOCK;
    }

    /** Whether a row says a time of day, even one that cannot be read. */
    private boolean namesClock(List<String> cells, String label) {
        return IntStream.range(0, columns.size())
                .anyMatch(i -> columns.get(i).use() == Column.Use.CLOCK
                        && columns.get(i).belongsTo(label)
                        && !cells.get(i).isBlank());
    }

    /** What stands for the time where it cannot be read; empty where nothing stands. */
    private Optional<String> writtenTime(List<String> cells, String label) {
        String written = IntStream.range(0, columns.size())
                .filter(i -> columns.get(i).belongsTo(label))
                .filter(i -> isOfMoment(columns.get(i)))
                .mapToObj(i -> cells.get(i).strip())
                .filter(cell -> !cell.isEmpty())
                .collect(Collectors.joining(" "));
        return written.isEmpty() ? Optional.empty() : Optional.of(written);
    }

    /** Said in its own column, or in the place of a number, or told from there being a number. */
    private static Optional<String> outcome(Map<Figure, String> texts, Optional<Outcome> failure) {
        String said = texts.getOrDefault(Figure.OUTCOME, "");
        if (!said.isEmpty()) {
            return Optional.of(outcome(said).map(Outcome::label).orElse(said));
        }
        if (failure.isPresent()) {
            return failure.map(Outcome::label);
        }
        return Optional.of(Outcome.OK.label());
    }

    private static Optional<Outcome> outcome(String text) {
        return Optional.ofNullable(OUTCOMES.get(text.strip().toLowerCase(Locale.ROOT)));
    }

    private Optional<String> note(List<String> cells, String label) {
        Stream<String> parts = IntStream.range(0, columns.size())
                .filter(i -> columns.get(i).belongsTo(label) && !cells.get(i).isBlank())
                .mapToObj(i -> {
                    Column column = columns.get(i);
                    String cell = cells.get(i).strip();
                    return column.is(Figure.NOTE)
                            ? cell
                            : column.use() == Column.Use.NOTE ? column.heading().strip() + ": " + cell : "";
                });
        String note = Stream.concat(Stream.of(each == Each.NOTE ? label : ""), parts)
                .filter(part -> !part.isEmpty())
                .collect(Collectors.joining("; "));
        return note.isEmpty() ? Optional.empty() : Optional.of(note);
    }

    /** What a mapping still lacks to read measurements by; empty when it is whole. */
    public List<String> lacking() {
        boolean moment = has(Figure.TAKEN_AT) || has(Column.Use.DATE) && (has(Column.Use.CLOCK) || clock.isPresent());
        return Stream.of(
                        moment ? "" : "a column of the time, or one of the date and one of the time of day",
                        has(Figure.CAMPSITE) ? "" : "the campsite",
                        has(Figure.SETUP)
                                        || each == Each.SETUP
                                                && !labels(columns).isEmpty()
                                ? ""
                                : "the setup",
                        Figure.numbers().stream().anyMatch(this::has) ? "" : "a column with a figure")
                .filter(lack -> !lack.isEmpty())
                .toList();
    }

    private boolean has(Figure figure) {
        return fixedValues.containsKey(figure) || columns.stream().anyMatch(c -> c.is(figure));
    }

    private boolean has(Column.Use use) {
        return columns.stream().anyMatch(c -> c.use() == use);
    }
}
