package syntoma.core.statustext;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import syntoma.core.reading.Figure;
import syntoma.core.reply.Cell;
import syntoma.core.reply.CellField;
import syntoma.core.reply.CellTexts;
import syntoma.core.reply.Role;
import syntoma.core.statustext.Names.Heading;
import syntoma.core.statustext.Names.NamedField;

/** The cells that lines tell of: by name and value, in tables, a cell in each line, under headings. */
final class CellLines {
    private static final int LONGEST_HEADING = 60;
    private static final Pattern DIGIT = Pattern.compile("[0-9]");
    private static final Pattern BARE_BAND =
            Pattern.compile("(?<![\\p{L}\\p{N}])(?:LTE[- ]|NR[- ])?(?<band>[Bn][0-9]{1,3})(?![\\p{N}\\p{L}])");
    /** A line that has nothing but a band and its width. */
    private static final Pattern ONLY_BAND =
            Pattern.compile("\\W*[Bn][0-9]{1,3}\\s?[@,(/-]?\\s?[0-9]{1,3}(?:[.,][0-9])?\\s?(?i:MHz)\\W*");

    private static final Pattern BARE_WIDTH =
            Pattern.compile("(?iu)(?<![\\p{N}.,])(?<mhz>[0-9]{1,3}(?:[.,][0-9])?)\\s?MHz");

    private static final int MOST_MHZ = 100;

    private final List<Warning> warnings;
    private final Map<String, FigureCollector> cells = new LinkedHashMap<>();
    private final Map<String, Integer> carriers = new LinkedHashMap<>();
    private Optional<String> mode = Optional.empty();
    private int modeLine;
    private Heading heading = new Heading(Role.PRIMARY, 0);
    private boolean underHeading;
    private boolean underPort;
    private int neighbours;
    private int seconds;
    private Optional<Columns> columns = Optional.empty();
    private int rows;
    private Optional<NamedField> open = Optional.empty();
    private boolean nrAlone;
    private boolean unregistered;
    private final Names.NamesOfLines told = new Names.NamesOfLines();
    private final Unfolding unfolding = new Unfolding();

    CellLines(List<Warning> warnings) {
        this.warnings = warnings;
    }

    /** The cells, and what is said of the network. */
    record CellsRead(Optional<String> mode, Optional<String> carrier, List<Cell> cells, List<Source> sources) {}

    /** A cell, and what it was read from. */
    private record CellWithSource(Cell cell, FigureCollector from) {}

    void line(Lines.Line line) {
        unregistered |= Names.saysNone(line);
        unfolding.of(line).forEach(this::one);
    }

    private void one(Lines.Line line) {
        String text = line.text();
        Names.carrier(line).ifPresent(name -> carriers.putIfAbsent(name, line.number()));
        if (mode.isEmpty()) {
            mode = Names.mode(text).filter(CellTexts::isMode);
            modeLine = line.number();
        }
        if (FigureCollector.OF_IDENTITY.areIn(line.lower())) {
            cell(heading).identity(text);
        }
        if (isTable(line) || readJoined(line)) {
            return;
        }
        List<NamedField> names = told.in(line);
        if (names.isEmpty() || names.stream().noneMatch(n -> hasValue(text, n, names))) {
            without(line, names);
            return;
        }
        open = Optional.empty();
        String before = text.substring(0, names.get(0).from());
        Optional<Heading> own = before.isBlank() ? Optional.empty() : Names.heading(before);
        Heading of = own.map(this::number).orElse(heading);
        isBare(line, before, of);
        if (of.role() == Role.NEIGHBOUR || of.role() == Role.SECONDARY) {
            of = another(of, text, names);
        }
        Heading cell = of;
        boolean ofPort = Figures.isOfPort(before) || underPort;
        underPort = false;
        String time = Figures.time(text);
        boolean begins = names.get(0).role().isPresent();
        Heading last = cell;
        Heading ofBand = cell;
        for (int i = 0; i < names.size(); i++) {
            NamedField named = names.get(i);
            int end = i + 1 < names.size() ? names.get(i + 1).from() : text.length();
            Heading to = named.role()
                    .map(role -> own.isPresent() && role == Role.PRIMARY && cell.role() != Role.NR
                            ? cell
                            : inLine(role, named.count(), cell))
                    .orElse(begins ? last : cell);
            last = to;
            ofBand = named.field() == CellField.BAND || named.field() == CellField.ARFCN ? to : ofBand;
            Figures.after(
                            named.field(),
                            text.substring(named.to(), end),
                            line.number(),
                            to.role() == Role.PRIMARY,
                            warnings)
                    .ifPresent(value -> put(to, named.field(), ofPort ? value.ofPort() : value.at(time)));
        }
        unnamed(line, names, ofBand);
    }

    /** Cells of a role under one heading come one after another: what says once more which it is begins the next. */
    private Heading another(Heading of, String text, List<NamedField> names) {
        FigureCollector there = cells.get(of.role().label() + of.count());
        boolean next = there != null
                && names.stream()
                        .filter(n -> n.field() == CellField.PCI || n.field() == CellField.ARFCN)
                        .anyMatch(n -> there.texts.containsKey(n.field()) && hasValue(text, n, names));
        if (!next) {
            return of;
        }
        Heading begun = number(new Heading(of.role(), 0));
        if (of.equals(heading)) {
            heading = begun;
        }
        return begun;
    }

    /** A width that is beside a band without its name. */
    private void unnamed(Lines.Line line, List<NamedField> names, Heading of) {
        String text = line.text();
        boolean band = names.stream().anyMatch(n -> n.field() == CellField.BAND || n.field() == CellField.ARFCN);
        boolean width = names.stream().anyMatch(n -> n.field() == CellField.BANDWIDTH_MHZ);
        if (band && !width) {
            width(line, text, of);
        }
    }

    /** Carriers that are joined: the first is the primary one. */
    private boolean readJoined(Lines.Line line) {
        List<JoinedText> parts = JoinedText.in(line);
        for (JoinedText part : parts) {
            put(part.of(), CellField.BAND, part.band());
            width(line, part.text(), part.of());
        }
        return !parts.isEmpty();
    }

    private static boolean hasValue(String text, NamedField named, List<NamedField> names) {
        int at = names.indexOf(named);
        int end = at + 1 < names.size() ? names.get(at + 1).from() : text.length();
        return DIGIT.matcher(text.substring(named.to(), end)).find();
    }

    /** A role that a name itself says is of the heading’s cell where that is of the same role. */
    private Heading inLine(Role role, int count, Heading of) {
        return role == of.role() || role == Role.PRIMARY && of.role() != Role.NR && underHeading
                ? of
                : new Heading(role, count);
    }

    /** A line without a value: a heading, the names of a table, or a name whose value stands in the next line. */
    private void without(Lines.Line line, List<NamedField> names) {
        String text = line.text();
        if (names.size() >= Columns.FEWEST) {
            Optional<Columns> named = Columns.of(text);
            rows = named.isPresent() ? 0 : rows;
            columns = named.or(() -> columns);
            return;
        }
        if (names.size() == 1) {
            open = Optional.of(names.get(0));
            return;
        }
        if (open.isPresent()) {
            NamedField named = open.get();
            open = Optional.empty();
            Heading to =
                    named.role().map(r -> inLine(r, named.count(), heading)).orElse(heading);
            Optional<Figures.FigureText> value =
                    Figures.after(named.field(), " " + text, line.number(), to.role() == Role.PRIMARY, warnings);
            if (value.isPresent() && text.length() < LONGEST_HEADING) {
                put(to, named.field(), value.get());
                return;
            }
        }
        if (ONLY_BAND.matcher(text).matches()) {
            isBare(line, text, heading);
            return;
        }
        underPort = Figures.isOfPort(text);
        if (underPort) {
            return;
        }
        Optional<Heading> said = text.length() > LONGEST_HEADING ? Optional.empty() : Names.heading(text);
        if (said.isPresent() && Names.mode(text).isEmpty()) {
            Heading of = number(said.get());
            if (isBare(line, text, of)) {
                return;
            }
            heading = of;
            underHeading = true;
            columns = Optional.empty();
        }
    }

    /** Cells of a role that has several are told apart by their number, or by coming one after another. */
    private Heading number(Heading said) {
        return switch (said.role()) {
            case NEIGHBOUR -> new Heading(Role.NEIGHBOUR, ++neighbours);
            case SECONDARY -> new Heading(Role.SECONDARY, said.count() > 0 ? said.count() : 100 + ++seconds);
            default -> said;
        };
    }

    /** A band and a width without their names, as in “SCC1 B20 10 MHz”. */
    private boolean isBare(Lines.Line line, String text, Heading of) {
        Matcher band = BARE_BAND.matcher(text);
        if (!band.find()) {
            return false;
        }
        put(of, CellField.BAND, new Figures.FigureText(band.group("band"), line.number()));
        width(line, text, of);
        return true;
    }

    private void width(Lines.Line line, String text, Heading of) {
        if (!line.lower().contains("mhz")) {
            return;
        }
        Matcher width = BARE_WIDTH.matcher(text);
        while (width.find()) {
            if (Double.parseDouble(width.group("mhz").replace(',', '.')) <= MOST_MHZ) {
                put(of, CellField.BANDWIDTH_MHZ, new Figures.FigureText(width.group("mhz"), line.number()));
                return;
            }
        }
    }

    private FigureCollector cell(Heading of) {
        return cells.computeIfAbsent(of.role().label() + of.count(), key -> new FigureCollector(of.role()));
    }

    /** A row under the names of a table. */
    private boolean isTable(Lines.Line line) {
        Optional<String[]> row = columns.flatMap(c -> c.row(line.text()));
        if (row.isEmpty() || !DIGIT.matcher(line.text()).find()) {
            return false;
        }
        Columns table = columns.get();
        String[] parts = row.get();
        Optional<Heading> said =
                table.role().isPresent() ? Names.heading(parts[table.role().getAsInt()]) : Optional.empty();
        String time = said.isPresent() ? "" : Figures.time(line.text());
        boolean timed = !time.isEmpty();
        Heading of = timed
                ? heading
                : number(said.orElseGet(
                        () -> rows == 0 || heading.role() != Role.PRIMARY ? heading : new Heading(Role.NEIGHBOUR, 0)));
        if (!timed && said.isEmpty() && rows == 1 && heading.role() == Role.PRIMARY) {
            warnings.add(new Warning(
                    Warning.Code.AMBIGUOUS,
                    "rows after the first do not say what they are to the device; they are taken for neighbours",
                    line.number()));
        }
        rows++;
        if (of.role() == Role.PRIMARY) {
            table.network().ifPresent(column -> Names.network(parts[column])
                    .ifPresent(name -> carriers.putIfAbsent(name, line.number())));
        }
        for (int i = 0; i < parts.length; i++) {
            String part = " " + parts[i];
            table.fields().get(i).ifPresent(field -> Figures.after(
                            field, part, line.number(), of.role() == Role.PRIMARY, warnings)
                    .ifPresent(value -> put(of, field, value.at(time))));
        }
        return true;
    }

    private void put(Heading of, CellField field, Figures.FigureText value) {
        FigureCollector cell = cell(of);
        Figures.FigureText there = cell.texts.get(field);
        if (there == null) {
            cell.texts.put(field, value);
            return;
        }
        Optional<Figures.FigureText> counts = Figures.ofBoth(there, value);
        counts.ifPresent(taken -> cell.texts.put(field, taken));
        if (counts.isEmpty() && !there.text().equals(value.text()) && warnings.size() < Warning.MOST) {
            warnings.add(new Warning(
                    Warning.Code.AMBIGUOUS,
                    field.label() + " appears twice, as " + there.text() + " and as " + value.text()
                            + "; the first is used",
                    value.line(),
                    Optional.of(new Warning.Doubt(field.field(), List.of(valueText(there), valueText(value))))
                            .filter(doubt -> of.role() == Role.PRIMARY)));
        }
    }

    private static String valueText(Figures.FigureText value) {
        String text = value.text();
        return text.endsWith(".0") ? text.substring(0, text.length() - 2) : text;
    }

    CellsRead read() {
        List<CellWithSource> all = new ArrayList<>();
        if (mode.isEmpty() && unregistered && cells.isEmpty()) {
            mode = Optional.of("not registered");
        }
        boolean anchored = cells.values().stream()
                .anyMatch(c -> c.role == Role.PRIMARY && c.texts.containsKey(CellField.RSRP_DBM));
        boolean alone = mode.filter(m -> m.toUpperCase(Locale.ROOT).matches(".*\\bSA\\b.*"))
                .isPresent();
        if (alone
                || !anchored && cells.values().stream().noneMatch(c -> c.role == Role.PRIMARY && !c.texts.isEmpty())) {
            merge();
        }
        for (FigureCollector cell : cells.values()) {
            cell.identify();
            boolean isNr = cell.role == Role.NR;
            Role role = isNr && alone ? Role.PRIMARY : cell.role;
            Map<CellField, String> texts = new EnumMap<>(CellField.class);
            cell.texts.forEach((field, taken) -> texts.put(field, taken.text()));
            if (!isNr && !texts.containsKey(CellField.RAT) && isOfLte(texts)) {
                texts.put(CellField.RAT, "LTE");
            }
            if (role == Role.PRIMARY) {
                Names.older(mode).ifPresent(rat -> texts.putIfAbsent(CellField.RAT, rat));
            }
            CellTexts.CellReading made =
                    CellTexts.read(role, isNr || (alone || nrAlone) && role == Role.PRIMARY, texts);
            made.impossible()
                    .forEach((field, says) -> warnings.add(new Warning(
                            Warning.Code.IMPOSSIBLE_VALUE,
                            says,
                            Optional.ofNullable(cell.texts.get(field))
                                    .map(Figures.FigureText::line)
                                    .orElse(0))));
            if (made.cell().isThere()) {
                all.add(new CellWithSource(made.cell(), cell));
            }
        }
        all.sort(Comparator.comparing(made -> made.cell().role()));
        if (carriers.size() > 1) {
            warnings.add(new Warning(
                    Warning.Code.TWO_CARRIERS,
                    "it names two networks: " + String.join(", ", carriers.keySet()),
                    0,
                    Optional.of(new Warning.Doubt(Figure.CARRIER.field(), List.copyOf(carriers.keySet())))));
        }
        List<Cell> read = all.stream().map(CellWithSource::cell).toList();
        return new CellsRead(
                CellTexts.mode(mode, read), carriers.keySet().stream().findFirst(), read, sources(all));
    }

    private List<Source> sources(List<CellWithSource> all) {
        List<Source> sources = new ArrayList<>();
        carriers.forEach((name, line) -> sources.add(new Source(line, Figure.CARRIER.field(), Source.NO_CELL)));
        mode.ifPresent(said -> sources.add(new Source(modeLine, Figure.RAT.field(), Source.NO_CELL)));
        for (int i = 0; i < all.size(); i++) {
            int cell = i;
            all.get(i)
                    .from()
                    .texts
                    .forEach((field, taken) -> sources.add(new Source(taken.line(), field.field(), cell)));
        }
        return sources;
    }

    /** A cell beside others of LTE that is named by its band alone is one of LTE. */
    private boolean isOfLte(Map<CellField, String> texts) {
        boolean band = texts.getOrDefault(CellField.BAND, "").matches("(?i)b?[0-9]{1,3}");
        return band
                && Names.older(mode).isEmpty()
                && !nrAlone
                && mode.filter(m -> m.toUpperCase(Locale.ROOT).matches(".*\\bSA\\b.*"))
                        .isEmpty();
    }

    /** Without an LTE anchor what is said of NR is said of the cell in use. */
    private void merge() {
        FigureCollector leg = cells.remove(Role.NR.label() + 0);
        if (leg != null) {
            nrAlone = true;
            Heading of = new Heading(Role.PRIMARY, 0);
            leg.texts.forEach((field, taken) -> put(of, field, taken));
        }
    }
}
