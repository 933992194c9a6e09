package syntoma.app.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import syntoma.app.csv.Cells;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.reading.Figure;
import syntoma.core.reading.Measure;
import syntoma.core.tabletext.Column;
import syntoma.core.tabletext.DateOrder;
import syntoma.core.tabletext.Each;
import syntoma.core.tabletext.Mapping;
import syntoma.core.tabletext.Proposal;
import syntoma.core.tabletext.Quantity;
import syntoma.core.unit.Text;

/** Tables kept by hand: proposes how one is read, and shows how some of its rows would be. */
@Service
class Tables {
    /** Rows by which a table is judged. */
    private static final int JUDGED = 200;

    private static final int SHOWN = 5;

    private final Mappings mappings;
    private final ImportNames names;

    Tables(Mappings mappings, ImportNames names) {
        this.mappings = mappings;
        this.names = names;
    }

    /** A choice with how it is said. */
    record Choice(String value, String label) {}

    /**
     * A figure that a column can hold.
     *
     * @param units that its numbers can stand in; none where it has no unit
     */
    record FigureChoice(String value, String label, List<String> units) {
        static FigureChoice of(Figure figure) {
            if (!figure.isNumber()) {
                return new FigureChoice(figure.label(), figure.label().replace('_', ' '), List.of());
            }
            Measure measure = figure.measure();
            List<Quantity> units =
                    switch (measure.kind()) {
                        case RATE ->
                            List.of(
                                    Quantity.MEGABIT,
                                    Quantity.MEGABYTE,
                                    Quantity.KILOBIT,
                                    Quantity.KILOBYTE,
                                    Quantity.GIGABIT,
                                    Quantity.BIT);
                        case LATENCY, JITTER -> List.of(Quantity.MILLISECOND, Quantity.SECOND);
                        default -> List.of();
                    };
            return new FigureChoice(
                    figure.label(),
                    Text.capital(measure.phrase()),
                    units.stream().map(Quantity::label).toList());
        }
    }

    /** What can be chosen for a column and for a table. */
    record Choices(List<Choice> uses, List<FigureChoice> figures, List<Choice> dateOrders, List<Choice> eaches) {
        /** @param orders in which the dates can be read */
        static Choices of(Set<DateOrder> orders) {
            return new Choices(
                    List.of(
                            new Choice(Column.Use.DATE.label(), "the day"),
                            new Choice(Column.Use.CLOCK.label(), "the time of day"),
                            new Choice(Column.Use.COORDINATES.label(), "latitude and longitude"),
                            new Choice(Column.Use.NOTE.label(), "into the note"),
                            new Choice(Column.Use.LEFT_OUT.label(), "not read")),
                    Arrays.stream(Figure.values()).map(FigureChoice::of).toList(),
                    orders.stream()
                            .map(o -> new Choice(TableReading.key(o), o.label()))
                            .toList(),
                    List.of(
                            new Choice(Each.SETUP.label(), "setups"),
                            new Choice(Each.CARRIER.label(), "carriers"),
                            new Choice(Each.RUN.label(), "runs, one after another"),
                            new Choice(Each.NOTE.label(), "something for the note")));
        }
    }

    /**
     * What a file seems to hold.
     *
     * @param ofContract whether its headings are those of the contract, so that nothing has to be said
     * @param remembered whether its owner has said before how it is read
     * @param reading as remembered, or as proposed
     * @param reasons for each column, why it is taken so; empty where its heading says it
     * @param asked what the table cannot know: date-order, zone, year, clock, above, each, level, setup, campsite
     * @param rows its first rows as they stand
     * @param sheets of a workbook, the one looked at first; none where the file has no sheets
     * @param size how many rows there are, where that is known
     */
    record TableView(
            boolean ofContract,
            boolean remembered,
            TableReading reading,
            List<String> reasons,
            List<String> asked,
            List<List<String>> rows,
            List<String> sheets,
            @Nullable Integer size,
            Choices choices) {}

    /** Some rows of a table and how they are to be read. */
    record RowsRequest(TableReading reading, List<List<String>> rows) {}

    /**
     * Looks at a file, or at the beginning of a text.
     *
     * @param sheet of a workbook; empty for its first
     * @throws InvalidInputException when it is no table
     */
    TableView look(InputStream file, String sheet) throws IOException {
        try (TableFile table = TableFile.peek(file, sheet)) {
            return view(table);
        }
    }

    private TableView view(TableFile table) {
        List<List<String>> rows = new ArrayList<>();
        for (Cells.Row row = table.next(); row != null && rows.size() < JUDGED; row = table.next()) {
            if (row.fault().isEmpty()) {
                rows.add(row.cells());
            }
        }
        Proposal proposal = Proposal.of(table.header(), rows);
        Optional<TableReading> remembered = mappings.find(table.header());
        return new TableView(
                table.isOfContract(),
                remembered.isPresent(),
                remembered.orElseGet(() -> reading(proposal, table.hasDecimalComma())),
                proposal.reasons(),
                proposal.questions().stream()
                        .map(q -> q.name().toLowerCase(Locale.ROOT).replace('_', '-'))
                        .toList(),
                rows.stream().limit(SHOWN).map(Tables::shorten).toList(),
                table.cells().sheets(),
                table.cells().size().isPresent() ? table.cells().size().getAsInt() : null,
                Choices.of(proposal.orders()));
    }

    private static List<String> shorten(List<String> cells) {
        return cells.stream()
                .map(cell -> cell.substring(0, Math.min(cell.length(), TableReading.LONGEST_CELL)))
                .toList();
    }

    private TableReading reading(Proposal proposal, boolean decimalComma) {
        return new TableReading(
                proposal.columns().stream().map(TableReading.ColumnUse::of).toList(),
                proposal.order().map(TableReading::key).orElse(""),
                proposal.questions().contains(Proposal.Question.ZONE) ? "" : "Z",
                null,
                null,
                decimalComma,
                null,
                proposal.each()
                        .or(() -> names.tells(proposal.labels()))
                        .map(Each::label)
                        .orElse(null),
                null,
                null);
    }

    /**
     * How a row would be read.
     *
     * @param measurements of each the figures that are not empty by their names in CSV
     */
    record RowRead(List<Map<String, String>> measurements) {}

    /** How rows would be read. */
    List<RowRead> rows(@Nullable RowsRequest request) {
        if (request == null || request.reading() == null) {
            throw new InvalidInputException("reading", "reading is missing");
        }
        Mapping mapping = request.reading().mapping();
        if (request.rows() == null || request.rows().size() > JUDGED) {
            throw new InvalidInputException("rows", "rows is missing, or holds more than " + JUDGED + " rows");
        }
        List<RowRead> read = new ArrayList<>();
        List<String> over = List.of();
        for (List<String> row : request.rows()) {
            over = fill(mapping, row, over);
            read.add(new RowRead(
                    mapping.measurements(over).stream().map(Tables::byFieldName).toList()));
        }
        return read;
    }

    private static boolean isUnfit(@Nullable String cell) {
        return cell == null || cell.length() > TableReading.LONGEST_CELL;
    }

    private static List<String> fill(Mapping mapping, @Nullable List<String> row, List<String> over) {
        if (row == null
                || row.size() != mapping.columns().size()
                || row.stream().anyMatch(Tables::isUnfit)) {
            throw new InvalidInputException(
                    "rows",
                    "a row has another number of cells than the table has columns, or a cell is null or longer than "
                            + TableReading.LONGEST_CELL + " characters");
        }
        return mapping.fill(row, over);
    }

    private static Map<String, String> byFieldName(Map<Figure, String> texts) {
        Map<String, String> read = new LinkedHashMap<>();
        for (Figure figure : Figure.values()) {
            String text = texts.getOrDefault(figure, "");
            if (!text.isEmpty()) {
                read.put(figure.label(), text);
            }
        }
        return read;
    }
}
