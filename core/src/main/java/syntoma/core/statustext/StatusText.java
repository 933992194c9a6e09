package syntoma.core.statustext;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import syntoma.core.reading.Figure;
import syntoma.core.reply.AtAnswers;
import syntoma.core.reply.Cell;
import syntoma.core.reply.Role;
import syntoma.core.reply.RouterReading;

/**
 * What a pasted text says.
 *
 * @param mode LTE, NR-NSA, NR-SA, UMTS, GSM, or none where it says that it is not registered
 * @param carrier the network in use
 * @param cells the serving ones first
 * @param speed of a speed test in it
 * @param warnings what is to be looked at before it is kept
 * @param lines the text as it was read, without what is no text of it
 * @param sources where each figure stands that was taken
 */
public record StatusText(
        Optional<String> mode,
        Optional<String> carrier,
        List<Cell> cells,
        Optional<Speeds> speed,
        List<Warning> warnings,
        List<TextLine> lines,
        List<Source> sources) {
    private static final Pattern BARS = Pattern.compile(
            "(?iu)(?:[0-9]\\s?(?:of|/|von|sur|de|av)\\s?[0-9]\\s?(?:bars?|balken|barres|barras|staplar|palkkia))|(?<!\\p{L})(?:bars?|balken|barres|barras)\\s*"
                    + "[:=]?\\s*[0-9](?![0-9])|signal(?:stärke| ?strength| ?quality)?\\s*[:=|]?\\s*[0-9]{1,3}\\s?%|[▂▃▄▅▆▇█]{2,}|[●■]{1,5}[○□]{1,5}");
    private static final Stems OF_BARS =
            Stems.of("bar", "balken", "staplar", "palkk", "signal", "▂", "▃", "▄", "▅", "▆", "▇", "█", "●", "■");
    /** What the standard answers of a terminal say. */
    private static final Map<String, List<Figure>> SAID_BY = Map.of(
            "+COPS", List.of(Figure.CARRIER),
            "+CSQ", List.of(Figure.RSSI_DBM),
            "+CESQ", List.of(Figure.RSRP_DBM, Figure.RSRQ_DB, Figure.SINR_DB),
            "+CEREG", List.of(Figure.CELL_ID, Figure.RAT),
            "+C5GREG", List.of(Figure.CELL_ID, Figure.RAT));

    private static final Pattern AT = Pattern.compile("^\\+(?:CSQ|CESQ|COPS|CEREG|C5GREG)\\s?:.*");

    /** A line that says something, by its number in the text, from 1. */
    public record TextLine(int number, String text) {}

    /** Reads a text; what it does not say is empty. */
    public static StatusText read(String text) {
        List<Warning> warnings = new ArrayList<>();
        List<String> answers = new ArrayList<>();
        CellLines cells = new CellLines(warnings);
        Optional<Integer> bars = Optional.empty();
        List<Lines.Line> lines = Lines.of(text);
        SpeedLines speeds = new SpeedLines(warnings, text.chars().noneMatch(Character::isLowerCase));
        List<Source> sources = new ArrayList<>();
        for (Lines.Line line : SplitLines.join(Wording.of(lines))) {
            if (line.text().startsWith("+") && AT.matcher(line.text()).matches()) {
                answers.add(line.text().replaceFirst("\\s?:", ":"));
                SAID_BY.getOrDefault(
                                line.text()
                                        .substring(0, line.text().indexOf(':'))
                                        .strip(),
                                List.of())
                        .forEach(field -> sources.add(new Source(line.number(), field.field(), 0)));
                continue;
            }
            if (bars.isEmpty()
                    && OF_BARS.areIn(line.lower())
                    && BARS.matcher(line.text()).find()) {
                bars = Optional.of(line.number());
            }
            speeds.line(line);
            cells.line(line);
        }
        CellLines.CellsRead read = cells.read();
        RouterReading terminal = AtAnswers.read(answers);
        sources.addAll(read.sources());
        sources.addAll(speeds.sources());
        List<Cell> all = new ArrayList<>(read.cells());
        if (all.isEmpty()) {
            all.addAll(terminal.cells());
        }
        terminal.problems().forEach(p -> warnings.add(new Warning(Warning.Code.IMPOSSIBLE_VALUE, p, 0)));
        Optional<Speeds> speed = Optional.of(speeds.speeds()).filter(Speeds::isThere);
        Optional<String> mode = terminal.mode().isPresent() && read.mode().isEmpty() ? terminal.mode() : read.mode();
        Optional<String> carrier = read.carrier().or(terminal::carrier);
        judge(all, speed, mode, carrier, bars, warnings);
        return new StatusText(
                mode, carrier, List.copyOf(all), speed, List.copyOf(warnings), shownLines(lines), List.copyOf(sources));
    }

    /** Each line of the text once, also where it was read in parts. */
    private static List<TextLine> shownLines(List<Lines.Line> lines) {
        Map<Integer, String> texts = new LinkedHashMap<>();
        lines.forEach(l -> texts.merge(l.number(), l.text(), (one, other) -> one + " " + other));
        return texts.entrySet().stream()
                .map(e -> new TextLine(e.getKey(), e.getValue()))
                .toList();
    }

    /** What is to be said of the whole. */
    private static void judge(
            List<Cell> cells,
            Optional<Speeds> speed,
            Optional<String> mode,
            Optional<String> carrier,
            Optional<Integer> bars,
            List<Warning> warnings) {
        boolean levels = cells.stream()
                .anyMatch(c -> c.rsrpDbm().isPresent()
                        || c.rssiDbm().isPresent()
                        || c.rsrqDb().isPresent()
                        || c.sinrDb().isPresent());
        if (bars.isPresent() && !levels) {
            warnings.add(new Warning(
                    Warning.Code.BARS_ONLY, "every maker draws bars differently, so they are not used", bars.get()));
        }
        if (!cells.isEmpty() && cells.stream().allMatch(c -> c.role() == Role.NEIGHBOUR)) {
            warnings.add(new Warning(Warning.Code.NEIGHBOURS_ONLY, "only neighbours are named, and no cell in use", 0));
        }
        if (cells.isEmpty() && speed.isEmpty() && mode.isEmpty() && carrier.isEmpty() && warnings.isEmpty()) {
            warnings.add(new Warning(Warning.Code.NOTHING_READ, "it has nothing from a router or a speed test", 0));
        }
    }
}
