package syntoma.core.statustext;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import syntoma.core.reply.CellField;
import syntoma.core.unit.Values;

/** The value that stands after the name of a figure. */
final class Figures {
    /** All words here are of the English alphabet; what else has two cases would only make it slower. */
    private static final int ANY_CASE = Pattern.CASE_INSENSITIVE;

    /** What a page explains in brackets: from where to where a figure goes, what is good. */
    private static final Pattern ASIDE = Pattern.compile(
            "[(\\[][^)\\]]{0,60}(?:range|scale|threshold|limit|good|fair|poor|excellent|bereich|plage|rango|\\.\\.|…| to | bis | à )[^)\\]]{0,60}[)\\]]",
            ANY_CASE);

    private static final Pattern UNIT_ASIDE = Pattern.compile("^\\s*[(\\[]\\s?(?:dBm?|k?Hz|MHz)\\s?[)\\]]", ANY_CASE);
    private static final Pattern PORT = Pattern.compile(
            "(?<!\\p{L})(?:ant(?:enna|enne)?|rx|port|path|chain|branch|a)[-_ #]?[0-9](?=[^0-9])|^\\s*[\\[(#]?\\s?(?:rx|ant)?[0-9]\\s?[\\])]?(?=\\s?[:=])",
            ANY_CASE);
    /** What begins a line that is about one port of several. */
    private static final Pattern PORT_FIRST = Pattern.compile(
            "^\\W*(?:main|aux(?:iliary)?|div(?:ersity)?|(?:ant(?:enna)?|rx|port|mimo|chain|branch|path)[ _#-]?[0-9])[\\s:=|-]*$",
            ANY_CASE);

    private static final int LONGEST_PORT = 20;

    /** One number and its unit, as most have it. */
    private static final Pattern ALONE = Pattern.compile(
            "[\\s:=|>]*+(?<sign>-\\s?+)?+(?<n>[0-9]{1,5}+(?:[.,][0-9]{1,2})?+)\\s*+(?:dBm?+)?+[\\s,;|]*+");

    private static final Pattern NUMBER = Pattern.compile(
            "(?:(?<label>now|current|curr?|last|latest|aktuell|actuel(?:le)?|actual|nu|min(?:imum)?|max(?:imum)?|avg|average|mean|mittel|moyenne|media"
                    + "|medel|best|worst|combined|total|overall|primary|kombiniert)\\.?\\s?[:=]?\\s?)?(?<sign>-\\s?|\\+)?(?<![0-9])(?<![0-9][.,])(?<n>[0-9]{1,5}(?:[.,][0-9]{1,2})?)"
                    + "(?![0-9])",
            ANY_CASE);
    private static final Pattern NEXT = Pattern.compile("[\\s,;]+[A-Za-z_][A-Za-z0-9_]*=");
    private static final Pattern WORD = Pattern.compile("^[\\s:=|>#\\-]*(?<word>[A-Za-z0-9][A-Za-z0-9 _./-]{0,30})");
    private static final Pattern IDENTITY = Pattern.compile(
            "^(?:\\s*\\([^()0-9]{0,16}\\))?[\\s:=|>#)\\-]*(?:\\(?(?:hex|dec)\\)?\\s*)?(?<word>0[xX][0-9A-Fa-f]{1,9}|[0-9A-Fa-f]{1,11})(?![0-9A-Za-z])");
    private static final Pattern BAND = Pattern.compile(
            "^(?:\\s*\\([^()0-9]{0,16}\\))?[\\s:=|>#()\\-]*(?:(?:LTE|NR|5G|4G|E-?UTRA(?:N)?)[-_ ]{0,2})?(?:BAND[-_ ]?)?(?<band>[BbNn]?[0-9]{1,3})(?![0-9.,]*\\s?[MmKkGg][Hh][Zz])(?![0-9])",
            ANY_CASE);
    /** Behind its frequency: 800 MHz (B20). */
    private static final Pattern BAND_ASIDE = Pattern.compile(
            "^[^\\p{L}]{0,12}(?i:MHz|GHz)\\s?[(\\[,]\\s?(?:band |LTE |NR )?(?<band>[BbNn][0-9]{1,3})(?![0-9])",
            ANY_CASE);

    private static final Pattern HEXADECIMAL =
            Pattern.compile("^[\\s:=|>#-]*0[xX](?<n>[0-9A-Fa-f]{1,7})(?![0-9A-Za-z])");
    private static final Pattern BARE_BAND =
            Pattern.compile("(?<![\\p{L}\\p{N}.,])(?<band>[Bn]?[0-9]{1,3})(?![0-9.,]|\\s?[MmGg][Hh][Zz]|\\p{L})");
    private static final Pattern FIRST = Pattern.compile("(?<n>[0-9]{1,7}(?:[.,][0-9]{1,2})?)\\s?(?<unit>[kM]Hz)?");
    private static final Set<String> OF_NOW =
            Set.of("now", "curr", "cur", "current", "last", "latest", "aktuell", "actuel", "actuelle", "actual", "nu");
    private static final Set<String> OF_ALL = Set.of("combined", "total", "overall", "kombiniert", "primary");
    private static final Set<String> OF_MEAN = Set.of("avg", "average", "mean", "mittel", "moyenne", "media", "medel");
    private static final double LEAST_LEVEL = 30;

    /** What a port without an antenna shows. */
    private static final double SILENT_PORT = -140;

    private Figures() {}

    /**
     * A value as it stands.
     *
     * @param line in which, from 1
     * @param isPort whether it is of one port of several
     * @param time that its line begins with; empty where it has none
     */
    record FigureText(String text, int line, boolean isPort, String time) {
        FigureText(String text, int line) {
            this(text, line, false, "");
        }

        FigureText at(String begin) {
            return new FigureText(text, line, isPort, begin);
        }

        /** The same, of one port of several. */
        FigureText ofPort() {
            return new FigureText(text, line, true, time);
        }
    }

    private static final Pattern TIME =
            Pattern.compile("(?<![0-9:])(?<h>[01]?[0-9]|2[0-3]):(?<m>[0-5][0-9])(?::(?<s>[0-5][0-9]))?(?![0-9:])");

    /** The time of day in a line, so that times can be put in order; empty where there is none. */
    static String time(String line) {
        if (line.indexOf(':') < 0) {
            return "";
        }
        Matcher m = TIME.matcher(line);
        return m.find()
                ? String.format(
                        Locale.ROOT,
                        "%02d:%s:%s",
                        Integer.parseInt(m.group("h")),
                        m.group("m"),
                        m.group("s") == null ? "00" : m.group("s"))
                : "";
    }

    /** Whether what stands before the first name of a line says that it is about one port of several. */
    static boolean isOfPort(String before) {
        return before.length() <= LONGEST_PORT
                && !before.isBlank()
                && PORT_FIRST.matcher(before).matches();
    }

    /** @param inUse whether it is of the cell in use, about which one can be asked */
    static Optional<FigureText> after(CellField field, String rest, int line, boolean inUse, List<Warning> warnings) {
        return switch (field) {
            case BAND ->
                find(BAND.matcher(rest), "band")
                        .or(() -> find(BAND_ASIDE.matcher(rest), "band"))
                        .map(t -> new FigureText(t, line));
            case CELL_ID -> find(IDENTITY.matcher(rest), "word").map(t -> new FigureText(t, line));
            case RAT -> find(WORD.matcher(rest), "word").map(t -> new FigureText(t, line));
            case RSSI_DBM, RSRP_DBM, RSRQ_DB, SINR_DB -> level(field, rest, line, inUse, warnings);
            default -> number(rest).map(t -> new FigureText(t, line));
        };
    }

    /** The band of one of several carriers that are joined: of the first the last that is named, else the first. */
    static Optional<FigureText> lastBand(String text, boolean first, int line) {
        Matcher m = BARE_BAND.matcher(text);
        Optional<String> band = Optional.empty();
        while (m.find() && (first || band.isEmpty())) {
            band = Optional.of(m.group("band"));
        }
        return band.map(b -> new FigureText(b, line));
    }

    private static Optional<String> find(Matcher m, String group) {
        return m.find() ? Optional.of(m.group(group).strip()) : Optional.empty();
    }

    /** The first number, with the unit behind it. */
    private static Optional<String> number(String rest) {
        Matcher hexadecimal = HEXADECIMAL.matcher(rest);
        if (rest.indexOf('0') >= 0 && (rest.indexOf('x') > 0 || rest.indexOf('X') > 0) && hexadecimal.find()) {
            return Optional.of(Integer.toString(Integer.parseInt(hexadecimal.group("n"), 16)));
        }
        Matcher m = FIRST.matcher(rest);
        return m.find()
                ? Optional.of(m.group("n") + (m.group("unit") == null ? "" : " " + m.group("unit")))
                : Optional.empty();
    }

    private record Number(String label, double value) {}

    private static Optional<FigureText> level(
            CellField field, String rest, int line, boolean inUse, List<Warning> warnings) {
        List<Number> numbers = new ArrayList<>(2);
        Matcher alone = ALONE.matcher(rest);
        boolean isAlone = alone.matches();
        boolean port = !isAlone && isAmong(own(rest), numbers);
        if (isAlone) {
            double value = Double.parseDouble(alone.group("n").replace(',', '.'));
            numbers.add(new Number("", alone.group("sign") == null ? value : -value));
        }
        Optional<Double> one = port ? strongest(numbers) : one(numbers);
        boolean unsigned = one.filter(v -> v >= LEAST_LEVEL && v < 150).isPresent()
                && (field == CellField.RSRP_DBM || field == CellField.RSSI_DBM)
                && one.get() != 99;
        if (unsigned && warnings.size() >= Warning.MOST) {
            return Optional.empty();
        }
        if (unsigned) {
            warnings.add(new Warning(
                    Warning.Code.AMBIGUOUS,
                    field.label() + " is " + Values.format(one.get()) + " without a minus sign; it is left out",
                    line,
                    Optional.of(new Warning.Doubt(field.field(), List.of("-" + Values.format(one.get()))))
                            .filter(doubt -> inUse)));
            return Optional.empty();
        }
        return one.map(v -> new FigureText(Double.toString(v), line, port, ""));
    }

    /** What stands before the next name of a line of names and values, whatever that is of. */
    private static String own(String rest) {
        if (!rest.startsWith("=")) {
            return rest;
        }
        Matcher next = NEXT.matcher(rest);
        return next.find() ? rest.substring(0, next.start()) : rest;
    }

    /** Takes the numbers out of what stands behind a name; says whether they are of ports. */
    private static boolean isAmong(String rest, List<Number> numbers) {
        boolean aside = rest.indexOf('(') >= 0 || rest.indexOf('[') >= 0;
        String plain = aside
                ? ASIDE.matcher(UNIT_ASIDE.matcher(rest).replaceFirst(" ")).replaceAll(" ")
                : rest;
        boolean port = PORT.matcher(plain).find();
        Matcher m = NUMBER.matcher(port ? PORT.matcher(plain).replaceAll(" ") : plain);
        while (m.find()) {
            double value = Double.parseDouble(m.group("n").replace(',', '.'));
            boolean minus = m.group("sign") != null && m.group("sign").startsWith("-");
            String label = m.group("label") == null ? "" : m.group("label").toLowerCase(Locale.ROOT);
            numbers.add(new Number(label, minus ? -value : value));
        }
        return port;
    }

    /** Of several ports the strongest that can be, unless a value is there that is of all. */
    private static Optional<Double> strongest(List<Number> numbers) {
        boolean labelled = numbers.stream().anyMatch(n -> !n.label.isEmpty());
        return labelled
                ? one(numbers)
                : numbers.stream()
                        .map(Number::value)
                        .filter(v -> numbers.size() == 1 || v > SILENT_PORT)
                        .max(Double::compare)
                        .or(() -> one(numbers));
    }

    /** Of several the one of now, else the combined one, else the mean; of those of several ports the strongest that can be. */
    private static Optional<Double> one(List<Number> numbers) {
        if (numbers.size() == 1) {
            return Optional.of(numbers.get(0).value);
        }
        for (Set<String> labels : List.of(OF_NOW, OF_ALL)) {
            Optional<Double> said = numbers.stream()
                    .filter(n -> labels.contains(n.label))
                    .map(Number::value)
                    .findFirst();
            if (said.isPresent()) {
                return said;
            }
        }
        if (!numbers.isEmpty()
                && numbers.get(0).label.isEmpty()
                && numbers.stream().anyMatch(n -> !n.label.isEmpty())) {
            return Optional.of(numbers.get(0).value);
        }
        Optional<Double> mean = numbers.stream()
                .filter(n -> OF_MEAN.contains(n.label))
                .map(Number::value)
                .findFirst();
        return mean.isPresent()
                ? mean
                : numbers.stream()
                        .filter(n -> n.label.isEmpty())
                        .map(Number::value)
                        .filter(v -> numbers.size() == 1 || v < 0 && v > -140)
                        .max(Double::compare)
                        .or(() -> numbers.stream().map(Number::value).findFirst());
    }

    /** Which of two values of one figure of one cell counts: the later, of ports the strongest; empty where neither is known. */
    static Optional<FigureText> ofBoth(FigureText first, FigureText later) {
        if (!first.time.isEmpty() && !later.time.isEmpty()) {
            return Optional.of(later.time.compareTo(first.time) >= 0 ? later : first);
        }
        if (first.isPort && later.isPort) {
            return Optional.of(Double.parseDouble(later.text) > Double.parseDouble(first.text) ? later : first);
        }
        return Optional.empty();
    }
}
