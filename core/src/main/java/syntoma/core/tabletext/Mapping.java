package syntoma.core.tabletext;

import java.time.LocalDate;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Outcome;

/**
 * How a table kept by hand is read: its columns, and what no cell says.
 *
 * @param columns one for each of the table's, in its order
 * @param order of the dates
 * @param zone of the times that name no offset
 * @param decimalComma whether numbers have a decimal comma
 * @param fixed figures that hold for every row, such as the setup of a log of one setup
 */
public record Mapping(
        List<Column> columns, DateOrder order, ZoneId zone, boolean decimalComma, Map<Figure, String> fixed) {
    private static final DateTimeFormatter WHOLE = DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH:mm:ssxxx");

    /** What people write for how a measurement ended. */
    private static final Map<String, Outcome> OUTCOMES = Map.ofEntries(
            Map.entry("ok", Outcome.OK),
            Map.entry("yes", Outcome.OK),
            Map.entry("good", Outcome.OK),
            Map.entry("done", Outcome.OK),
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
        fixed = Map.copyOf(fixed);
    }

    /**
     * The texts of a row's figures, as the reader of measurements takes them. What cannot be read stays as it stands, so
     * that the row is refused with the cell in the message.
     */
    public Map<Figure, String> texts(List<String> cells) {
        Map<Figure, String> texts = new EnumMap<>(Figure.class);
        texts.putAll(fixed);
        Optional<Outcome> failure = Optional.empty();
        for (int i = 0; i < columns.size(); i++) {
            Column column = columns.get(i);
            String cell = cells.get(i).strip();
            if (column.use() != Column.Use.FIGURE || NumberText.isMissing(cell)) {
                continue;
            }
            Figure figure = column.figure().orElseThrow();
            Optional<Outcome> word = figure.isNumber() ? outcome(cell) : Optional.empty();
            if (word.isPresent() && word.get() != Outcome.OK) {
                failure = word;
            } else {
                texts.put(figure, figure == Figure.TAKEN_AT ? cell : text(cell, figure, column.unit()));
            }
        }
        moment(cells).ifPresent(moment -> texts.put(Figure.TAKEN_AT, moment));
        outcome(texts, failure).ifPresent(outcome -> texts.put(Figure.OUTCOME, outcome));
        note(cells).ifPresent(note -> texts.put(Figure.NOTE, note));
        return texts;
    }

    private String text(String cell, Figure figure, Quantity unit) {
        if (figure.isNumber() || figure == Figure.LAT || figure == Figure.LON) {
            return NumberText.read(cell, figure, unit, decimalComma).orElse(cell);
        }
        return cell;
    }

    private Optional<String> moment(List<String> cells) {
        Optional<LocalDate> date = Optional.empty();
        Optional<LocalTime> clock = Optional.empty();
        for (int i = 0; i < columns.size(); i++) {
            Column column = columns.get(i);
            String cell = cells.get(i).strip();
            if (column.is(Figure.TAKEN_AT) || column.use() == Column.Use.DATE || column.use() == Column.Use.CLOCK) {
                Optional<OffsetDateTime> whole = MomentText.whole(cell);
                if (whole.isPresent()) {
                    return Optional.of(WHOLE.format(whole.get()));
                }
                Optional<MomentText.Both> both =
                        column.use() == Column.Use.CLOCK ? Optional.empty() : MomentText.both(cell, order);
                if (both.isPresent()) {
                    date = Optional.of(both.get().date());
                    clock = Optional.of(both.get().clock());
                } else if (column.use() == Column.Use.CLOCK) {
                    clock = MomentText.clock(cell)
                            .or(() -> MomentText.both(cell, order).map(MomentText.Both::clock));
                } else {
                    date = MomentText.date(cell, order);
                }
            }
        }
        if (date.isEmpty() || clock.isEmpty()) {
            return written(cells);
        }
        return Optional.of(WHOLE.format(date.get().atTime(clock.get()).atZone(zone)));
    }

    /** What stands for the time where it cannot be read; empty where nothing stands. */
    private Optional<String> written(List<String> cells) {
        String written = IntStream.range(0, columns.size())
                .filter(i -> columns.get(i).is(Figure.TAKEN_AT)
                        || columns.get(i).use() == Column.Use.DATE
                        || columns.get(i).use() == Column.Use.CLOCK)
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

    private Optional<String> note(List<String> cells) {
        String note = IntStream.range(0, columns.size())
                .filter(i -> !cells.get(i).isBlank())
                .mapToObj(i -> {
                    Column column = columns.get(i);
                    String cell = cells.get(i).strip();
                    return column.is(Figure.NOTE)
                            ? cell
                            : column.use() == Column.Use.NOTE ? column.heading().strip() + ": " + cell : "";
                })
                .filter(part -> !part.isEmpty())
                .collect(Collectors.joining("; "));
        return note.isEmpty() ? Optional.empty() : Optional.of(note);
    }

    /** What a mapping still lacks to read measurements by; empty when it is whole. */
    public List<String> lacking() {
        boolean moment = has(Figure.TAKEN_AT) || has(Column.Use.DATE) && has(Column.Use.CLOCK);
        return Stream.of(
                        moment ? "" : "a column of the time, or one of the date and one of the time of day",
                        has(Figure.CAMPSITE) ? "" : "the campsite",
                        has(Figure.SETUP) ? "" : "the setup",
                        Figure.numbers().stream().anyMatch(this::has) ? "" : "a column with a figure")
                .filter(lack -> !lack.isEmpty())
                .toList();
    }

    private boolean has(Figure figure) {
        return fixed.containsKey(figure) || columns.stream().anyMatch(c -> c.is(figure));
    }

    private boolean has(Column.Use use) {
        return columns.stream().anyMatch(c -> c.use() == use);
    }
}
