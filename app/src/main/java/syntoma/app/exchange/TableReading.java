package syntoma.app.exchange;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.DateTimeException;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.lang.Nullable;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.reading.Figure;
import syntoma.core.tabletext.Column;
import syntoma.core.tabletext.DateOrder;
import syntoma.core.tabletext.Each;
import syntoma.core.tabletext.Mapping;
import syntoma.core.tabletext.Quantity;
import syntoma.core.unit.Text;

/**
 * How a table kept by hand is read, as it goes over the API and into the store.
 *
 * @param columns one for each of the table's, in its order
 * @param dateOrder of the dates
 * @param zone of times that name no offset: a name such as Europe/Helsinki, or an offset such as +03:00
 * @param year of dates that name none, 2000 to 2100; null where each names its own
 * @param clock of rows that name only their day, such as 18:00; null where each names its time
 * @param above whether an empty cell of the day, the time, the campsite or the setup means what is above it; null for no
 * @param each what tells the measurements of a row apart, where it holds several; null where it holds one
 * @param setup of all rows, where no column says it
 * @param campsite of all rows, where no column says it
 */
record TableReading(
        List<ColumnUse> columns,
        @Schema(allowableValues = {"year-first", "day-first", "month-first"}) String dateOrder,
        String zone,
        @Nullable Integer year,
        @Nullable String clock,
        boolean decimalComma,
        @Nullable Boolean above,
        @Schema(allowableValues = {"run", "setup", "carrier", "note"}) @Nullable String each,
        @Nullable String setup,
        @Nullable String campsite) {

    /** The most characters of what tells measurements of a row apart, which can be the name of a setup. */
    private static final int LONGEST_LABEL = 120;

    private static final int EARLIEST_YEAR = 2000;
    private static final int LATEST_YEAR = 2100;

    /** The most characters of a heading, and of a cell that is shown. */
    static final int LONGEST_CELL = 1000;

    /**
     * What a column is taken for.
     *
     * @param use figure, date, clock, coordinates, note or left-out
     * @param figure its name in CSV, where it holds one
     * @param unit of its numbers, empty for the figure's own
     * @param of which of a row's measurements it belongs to, as headings call them; null or empty for all of them
     */
    record ColumnUse(
            String heading,
            @Schema(allowableValues = {"figure", "date", "clock", "coordinates", "note", "left-out"}) String use,
            @Nullable String figure,
            String unit,
            @Nullable String of) {

        static ColumnUse of(Column column) {
            return new ColumnUse(
                    column.heading(),
                    column.use().label(),
                    column.figure().map(Figure::label).orElse(null),
                    column.unit().label(),
                    column.of());
        }
    }

    static String key(DateOrder order) {
        return order.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /**
     * The mapping it says.
     *
     * @throws InvalidInputException naming the field
     */
    Mapping mapping() {
        if (columns == null || columns.stream().anyMatch(Objects::isNull)) {
            throw new InvalidInputException(
                    "columns",
                    "columns is missing, or holds nothing at a place; one is needed for each of the table's");
        }
        List<Column> read = new ArrayList<>();
        for (int i = 0; i < columns.size(); i++) {
            String place = "columns[" + i + "]";
            ColumnUse column = columns.get(i);
            read.add(InvalidInputException.naming(place, () -> column(column, place)));
        }
        Map<Figure, String> fixed = new EnumMap<>(Figure.class);
        fix(fixed, Figure.SETUP, setup);
        fix(fixed, Figure.CAMPSITE, campsite);
        Mapping mapping = InvalidInputException.naming(
                "columns",
                () -> new Mapping(
                        read,
                        order(),
                        readZone(),
                        readYear(),
                        readClock(),
                        decimalComma,
                        Boolean.TRUE.equals(above),
                        readEach(read),
                        fixed));
        if (!mapping.lacking().isEmpty()) {
            throw new InvalidInputException("columns", "the table still lacks " + String.join(", ", mapping.lacking()));
        }
        return mapping;
    }

    private static void fix(Map<Figure, String> fixed, Figure figure, @Nullable String text) {
        if (text != null && !text.isBlank()) {
            fixed.put(
                    figure,
                    InvalidInputException.naming(
                            figure.field(), () -> Text.name(figure.field(), text, figure.longest())));
        }
    }

    private static Column column(ColumnUse column, String place) {
        String heading = column.heading == null ? "" : column.heading;
        if (heading.length() > LONGEST_CELL) {
            throw new InvalidInputException(
                    place + ".heading",
                    "heading has " + heading.length() + " characters; allowed are up to " + LONGEST_CELL);
        }
        Column.Use use = Arrays.stream(Column.Use.values())
                .filter(u -> u.label().equals(column.use))
                .findFirst()
                .orElseThrow(() -> new InvalidInputException(
                        place + ".use",
                        "use is " + Text.quote(column.use)
                                + "; allowed is figure, date, clock, coordinates, note, left-out"));
        Quantity unit = Arrays.stream(Quantity.values())
                .filter(q -> q.label().equals(column.unit == null ? "" : column.unit))
                .findFirst()
                .orElseThrow(() -> new InvalidInputException(
                        place + ".unit",
                        "unit is " + Text.quote(column.unit)
                                + "; allowed is nothing, b/s, kb/s, Mb/s, Gb/s, kB/s, MB/s, ms, s, dB, %"));
        String of = column.of == null ? "" : column.of.strip();
        if (of.length() > LONGEST_LABEL) {
            throw new InvalidInputException(
                    place + ".of", "of has " + of.length() + " characters; allowed are up to " + LONGEST_LABEL);
        }
        return column(column, place, heading, use, unit).ofOne(of);
    }

    private static Column column(ColumnUse column, String place, String heading, Column.Use use, Quantity unit) {
        if (use != Column.Use.FIGURE) {
            return Column.of(heading, use);
        }
        return Column.of(
                heading,
                Optional.ofNullable(column.figure)
                        .flatMap(Figure::fromLabel)
                        .orElseThrow(() -> new InvalidInputException(
                                place + ".figure",
                                "figure is " + Text.quote(column.figure) + "; allowed is a column of the CSV form")),
                unit);
    }

    private DateOrder order() {
        return Arrays.stream(DateOrder.values())
                .filter(o -> key(o).equals(dateOrder))
                .findFirst()
                .orElseThrow(() -> new InvalidInputException(
                        "dateOrder",
                        "dateOrder is " + Text.quote(dateOrder) + "; allowed is year-first, day-first, month-first"));
    }

    private ZoneId readZone() {
        try {
            return ZoneId.of(zone == null ? "" : zone);
        } catch (DateTimeException unknown) {
            throw new InvalidInputException(
                    "zone",
                    "zone is " + Text.quote(zone)
                            + "; write a name such as Europe/Helsinki, or an offset such as +03:00");
        }
    }

    private Optional<Integer> readYear() {
        if (year != null && (year < EARLIEST_YEAR || year > LATEST_YEAR)) {
            throw new InvalidInputException(
                    "year", "year is " + year + "; allowed is " + EARLIEST_YEAR + " to " + LATEST_YEAR);
        }
        return Optional.ofNullable(year);
    }

    private Optional<LocalTime> readClock() {
        if (clock == null || clock.isBlank()) {
            return Optional.empty();
        }
        try {
            return Optional.of(LocalTime.parse(clock.strip()));
        } catch (DateTimeException unread) {
            throw new InvalidInputException(
                    "clock", "clock is " + Text.quote(clock) + "; write the time of day with 24 hours, such as 18:00");
        }
    }

    private Each readEach(List<Column> read) {
        if (read.stream().allMatch(c -> c.of().isEmpty()) && each == null) {
            return Each.RUN;
        }
        return Arrays.stream(Each.values())
                .filter(e -> e.label().equals(each))
                .findFirst()
                .orElseThrow(() -> new InvalidInputException(
                        "each", "each is " + Text.quote(each) + "; allowed is run, setup, carrier, note"));
    }
}
