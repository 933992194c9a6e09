package syntoma.app.measurement;

import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import syntoma.core.reading.Figure;
import syntoma.core.reading.Rat;
import syntoma.core.reply.Cell;
import syntoma.core.reply.Role;
import syntoma.core.statustext.Source;
import syntoma.core.statustext.Speeds;
import syntoma.core.statustext.StatusText;
import syntoma.core.statustext.Warning;
import syntoma.core.trial.Outcome;

/**
 * What a pasted text says of a measurement.
 *
 * @param typed what can be logged as it is, by the fields of a measurement; nothing doubtful is among it
 * @param figures the same with their names and units, in the order of the catalogue
 * @param asked what a person has to settle before it is logged; left alone it is left out
 * @param remarks what else is to be known
 * @param others the cells that are read but not logged, in words
 * @param lines the text as it was read
 */
@Schema(name = "PasteView")
record PasteView(
        Map<String, String> typed,
        List<PastedFigure> figures,
        List<Doubtful> asked,
        List<Remark> remarks,
        List<String> others,
        List<PastedLine> lines) {
    private static final int MOST_LINES = 400;
    private static final int DECIMALS = 3;

    /** @param line where it stands, from 1; null where it follows from the rest */
    record PastedFigure(String field, String label, String value, String unit, @Nullable Integer line) {}

    /** @param choices what it may be */
    record Doubtful(
            String field, String label, String unit, String message, @Nullable Integer line, List<String> choices) {}

    /** @param code as in the answer to a parsed status text */
    record Remark(String code, String message, @Nullable Integer line) {}

    /** @param taken whether something of it is logged; @param doubtful whether something of it is asked or left out */
    record PastedLine(int number, String text, boolean taken, boolean doubtful) {}

    /** @param known the name that a carrier is known by here */
    static PasteView of(StatusText read, UnaryOperator<String> known) {
        List<Doubtful> asked = questions(read.warnings(), known);
        Set<String> open = asked.stream().map(Doubtful::field).collect(Collectors.toSet());
        Map<String, String> typed = new LinkedHashMap<>();
        figureTexts(read, known).forEach((figure, value) -> {
            if (!open.contains(figure.field())) {
                typed.put(figure.field(), value);
            }
        });
        Map<String, Integer> where = lines(read, typed.keySet());
        List<PastedFigure> figures = new ArrayList<>();
        for (Figure figure : Figure.values()) {
            String value = typed.get(figure.field());
            if (value != null && figure != Figure.OUTCOME) {
                figures.add(new PastedFigure(
                        figure.field(), label(figure), value, unit(figure), where.get(figure.field())));
            }
        }
        return new PasteView(
                typed,
                figures,
                asked,
                read.warnings().stream()
                        .filter(w -> w.doubt().isEmpty())
                        .map(w -> new Remark(w.code().label(), w.message(), line(w)))
                        .toList(),
                read.cells().stream()
                        .skip(inUse(read).isPresent() ? 1 : 0)
                        .map(c -> c.role().label() + ": " + c.says())
                        .toList(),
                shownLines(read, new HashSet<>(where.values())));
    }

    private static List<PastedLine> shownLines(StatusText read, Set<Integer> taken) {
        Set<Integer> doubtful = read.warnings().stream().map(Warning::line).collect(Collectors.toSet());
        return read.lines().stream()
                .limit(MOST_LINES)
                .map(l ->
                        new PastedLine(l.number(), l.text(), taken.contains(l.number()), doubtful.contains(l.number())))
                .toList();
    }

    /** The figures of the cell in use and of the speed test. */
    private static Map<Figure, String> figureTexts(StatusText read, UnaryOperator<String> known) {
        Map<Figure, String> said = new LinkedHashMap<>();
        read.carrier().ifPresent(name -> said.put(Figure.CARRIER, known.apply(name)));
        Optional<Cell> cell = inUse(read);
        if (cell.isPresent() || read.speed().isPresent()) {
            read.mode().filter(PasteView::isRat).ifPresent(mode -> said.put(Figure.RAT, mode));
        }
        cell.ifPresent(c -> {
            c.band().ifPresent(band -> said.put(Figure.BAND, band));
            c.arfcn().ifPresent(channel -> said.put(Figure.ARFCN, channel.toString()));
            c.cellId().ifPresent(id -> said.put(Figure.CELL_ID, id));
            put(said, Figure.RSSI_DBM, c.rssiDbm());
            put(said, Figure.RSRP_DBM, c.rsrpDbm());
            put(said, Figure.RSRQ_DB, c.rsrqDb());
            put(said, Figure.SINR_DB, c.sinrDb());
        });
        read.speed().ifPresent(speed -> put(said, speed));
        boolean none = read.mode().filter("none"::equals).isPresent();
        if (none && said.keySet().stream().noneMatch(Figure::isNumber)) {
            said.put(Figure.OUTCOME, Outcome.NO_SERVICE.label());
        }
        return said;
    }

    private static void put(Map<Figure, String> said, Speeds speed) {
        put(said, Figure.DOWN_MBPS, speed.downMbps());
        put(said, Figure.UP_MBPS, speed.upMbps());
        put(said, Figure.IDLE_MS, speed.idleMs());
        put(said, Figure.DOWN_LOADED_MS, speed.downLoadedMs());
        put(said, Figure.UP_LOADED_MS, speed.upLoadedMs());
    }

    private static void put(Map<Figure, String> said, Figure figure, Optional<Double> value) {
        value.ifPresent(v -> said.put(
                figure,
                BigDecimal.valueOf(v)
                        .setScale(DECIMALS, RoundingMode.HALF_EVEN)
                        .stripTrailingZeros()
                        .toPlainString()));
    }

    private static Optional<Cell> inUse(StatusText read) {
        return read.cells().stream().findFirst().filter(c -> c.role() == Role.PRIMARY);
    }

    private static boolean isRat(String mode) {
        return Arrays.stream(Rat.values()).anyMatch(rat -> rat.label().equals(mode));
    }

    private static List<Doubtful> questions(List<Warning> warnings, UnaryOperator<String> known) {
        Map<String, Doubtful> asked = new LinkedHashMap<>();
        for (Warning warning : warnings) {
            warning.doubt().ifPresent(doubt -> Figure.ofField(doubt.field()).ifPresent(figure -> {
                boolean carrier = figure == Figure.CARRIER;
                List<String> choices = new ArrayList<>(
                        asked.containsKey(doubt.field())
                                ? asked.get(doubt.field()).choices()
                                : List.of());
                doubt.values().stream()
                        .map(v -> carrier ? known.apply(v) : v)
                        .filter(v -> !choices.contains(v))
                        .forEach(choices::add);
                asked.put(
                        doubt.field(),
                        new Doubtful(
                                doubt.field(),
                                label(figure),
                                unit(figure),
                                warning.message(),
                                line(warning),
                                List.copyOf(choices)));
            }));
        }
        return List.copyOf(asked.values());
    }

    private static String label(Figure figure) {
        return switch (figure) {
            case CARRIER -> "carrier";
            case RAT -> "carried by";
            case BAND -> "band";
            case ARFCN -> "channel";
            case CELL_ID -> "cell";
            case OUTCOME -> "how it ended";
            default -> figure.measure().phrase();
        };
    }

    private static String unit(Figure figure) {
        return figure.isNumber() ? figure.measure().unit() : "";
    }

    @Nullable
    private static Integer line(Warning warning) {
        return warning.line() == 0 ? null : warning.line();
    }

    /** Where the figures stand that are logged. */
    private static Map<String, Integer> lines(StatusText read, Set<String> logged) {
        Map<String, Integer> where = new LinkedHashMap<>();
        for (Source source : read.sources()) {
            if (source.cell() <= 0 && logged.contains(source.field())) {
                where.putIfAbsent(source.field(), source.line());
            }
        }
        return where;
    }
}
