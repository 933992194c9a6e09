package syntoma.core.sheettext;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import syntoma.core.chain.CableClass;
import syntoma.core.chain.Connector;
import syntoma.core.chain.Use;

/** Connectors with how many there are and what they are for: ports, and the ends of cables and adapters. */
final class Sockets {
    private static final int MOST = 16;
    /** What makes a connector of a letter: N male, F plug. */
    private static final String[] NAMES_A_CONNECTOR = {
        "male",
        "female",
        "type",
        "connector",
        "connectors",
        "plug",
        "jack",
        "stecker",
        "buchse",
        "mâle",
        "femelle",
        "macho",
        "hembra"
    };

    private Sockets() {}

    /**
     * Some connectors of one kind in a line.
     *
     * @param gender male, female, or empty text where it is not said
     * @param use what they are for; empty where it is not said
     */
    record Some(int number, boolean isCounted, String kind, String gender, Optional<Use> use, String words) {
        /** As many of the same for something. */
        Some of(Use what, int many) {
            return new Some(many, false, kind, gender, Optional.of(what), words);
        }

        /** Whether something of it is not said. */
        boolean isOpen() {
            return !isCounted || gender.isEmpty() || use.isEmpty();
        }
    }

    /** The antenna ports of a device. */
    static void ports(List<Line> lines, List<FoundField> found) {
        for (Line line : lines) {
            if (line.says("no external antenna", "no antenna port", "no antenna connector", "without antenna port")) {
                found.add(FoundField.isSure("takesAntennas", false, line, line.text()));
                return;
            }
        }
        List<Map<String, Object>> rows = new ArrayList<>();
        boolean open = false;
        Line first = null;
        StringBuilder words = new StringBuilder();
        for (Line line : lines) {
            for (Some some : allOfLine(line)) {
                first = first == null ? line : first;
                words.append(words.isEmpty() ? "" : ", ").append(some.words());
                open |= some.isOpen();
                rows(rows, some, "female", "port");
            }
        }
        if (first != null) {
            found.add(new FoundField(
                    "ports",
                    rows,
                    words.toString(),
                    first.number(),
                    open ? "Are the number, the use and the connector right?" : "",
                    List.of()));
        }
    }

    static void rows(List<Map<String, Object>> rows, Some some, String usualGender, String what) {
        Use use = some.use().orElse(Use.CELLULAR);
        for (int i = 0; i < some.number() && rows.size() < MOST; i++) {
            long before =
                    rows.stream().filter(r -> r.get("use").equals(use.label())).count();
            Map<String, Object> row = new LinkedHashMap<>();
            row.put("label", use == Use.CELLULAR ? Long.toString(before + 1) : use.label() + " " + (before + 1));
            row.put("use", use.label());
            row.put("connector", some.kind() + "-" + (some.gender().isEmpty() ? usualGender : some.gender()));
            if (what.equals("port") && use == Use.CELLULAR && before == 0) {
                row.put("main", true);
            }
            rows.add(row);
        }
    }

    /** The class and the ends of a cable. */
    static void cable(List<Line> lines, List<FoundField> found) {
        for (Line line : lines) {
            cableClass(line).ifPresent(c -> found.add(FoundField.isSure("cableClass", c, line, line.text())));
            metres(line).ifPresent(m -> found.add(FoundField.isSure("lengthM", m, line, line.text())));
        }
        ends(lines, found);
    }

    /** The ends and the form of an adapter. */
    static void adapter(List<Line> lines, List<FoundField> found) {
        ends(lines, found);
        for (Line line : lines) {
            if (line.says("pigtail", "flexible")) {
                found.add(FoundField.isSure("form", "pigtail", line, line.text()));
            } else if (line.says("rigid", "solid", "one-piece")) {
                found.add(FoundField.isSure("form", "rigid", line, line.text()));
            }
            if (line.says("loss")) {
                Amounts.of(line, Amounts.DB).stream()
                        .findFirst()
                        .ifPresent(a -> found.add(FoundField.isSure(
                                "lossDb", Amounts.tidy(a.high()), line, line.words(a.from(), a.to()))));
            }
        }
    }

    /** Both ends, of the first line that names their halves, else of the first that names them. */
    private static void ends(List<Line> lines, List<FoundField> found) {
        List<Line> naming =
                lines.stream().filter(line -> ofLine(line).size() >= 2).toList();
        naming.stream()
                .filter(line -> ofLine(line).stream().limit(2).noneMatch(some -> some.gender()
                        .isEmpty()))
                .findFirst()
                .or(() -> naming.stream().findFirst())
                .ifPresent(line -> {
                    end("first", ofLine(line).get(0), line, found);
                    end("second", ofLine(line).get(1), line, found);
                });
    }

    /** The connectors of a line; two that are named at once are both ends. */
    private static List<Some> ofLine(Line line) {
        List<Some> some = allOfLine(line);
        return some.size() == 1 && some.get(0).number() == 2 ? List.of(some.get(0), some.get(0)) : some;
    }

    private static void end(String field, Some some, Line line, List<FoundField> found) {
        boolean open = some.gender().isEmpty();
        String value = some.kind() + "-" + (open ? "male" : some.gender());
        found.add(
                open
                        ? FoundField.unsure(field, value, line, some.words(), "Which half is it, male or female?")
                        : FoundField.isSure(field, value, line, some.words()));
    }

    static OptionalDouble metres(Line line) {
        return Amounts.of(line, Amounts.METRES).stream()
                .filter(a -> a.high() <= 50 && a.high() >= 0.05)
                .mapToDouble(a -> Amounts.tidy(a.high()))
                .findFirst();
    }

    static Optional<String> cableClass(Line line) {
        String plain = line.lower()
                .replace("rg ", "rg-")
                .replace("rg5", "rg-5")
                .replace("rg1", "rg-1")
                .replace("rg3", "rg-3")
                .replace("rg6", "rg-6")
                .replaceAll("(?<=\\d) class", "-class");
        Optional<String> named = CableClass.all().stream()
                .map(CableClass::name)
                .filter(name -> plain.contains(name.toLowerCase(Locale.ROOT)))
                .findFirst();
        if (named.isPresent()) {
            return named;
        }
        // a maker's own letters before or after the number of the class: ABC-240, ABC240
        for (int i = 1; i < line.tokens().size(); i++) {
            Token t = line.at(i);
            boolean number = t.is("100", "195", "200", "240", "400", "600");
            boolean letters = line.at(i - 1).end() == t.start() && isLetters(line.at(i - 1))
                    || line.at(i - 1).is("-")
                            && isLetters(line.at(i - 2))
                            && line.at(i - 2).end() == line.at(i - 1).start();
            if (number && letters && line.says("cable", "coax", "lead", "kabel")) {
                return Optional.of(t.text() + "-class");
            }
        }
        return Optional.empty();
    }

    private static boolean isLetters(Token maker) {
        return maker.text().length() >= 2 && maker.text().length() <= 4 && !maker.isNumber();
    }

    /** All connectors of a line. */
    static List<Some> allOfLine(Line line) {
        List<Some> all = new ArrayList<>();
        int from = 0;
        for (int i = 0; i < line.tokens().size(); i++) {
            Optional<Kind> kind = kind(line, i);
            if (kind.isEmpty()) {
                continue;
            }
            int end = kind.get().last();
            int upTo = next(line, end + 1);
            Optional<Use> use = use(line, from, i, end, upTo);
            OptionalInt number = number(line, i, from, end, upTo, use);
            all.add(new Some(
                    number.orElse(1),
                    number.isPresent(),
                    kind.get().name(),
                    gender(line, i, end, upTo),
                    use,
                    line.words(Math.max(from, i - 2), Math.max(end, Math.min(upTo, end + 3) - 1))));
            from = end + 1;
            i = end;
        }
        return all;
    }

    private record Kind(String name, int last) {}

    /** The connector that is named from a token on: SMA, RP-SMA, TS9, TS-9, CRC9, N, FAKRA, F. */
    private static Optional<Kind> kind(Line line, int i) {
        Token t = line.at(i);
        if (t.is("rp", "reverse")) {
            int at = line.at(i + 1).is("-") ? i + 2 : line.at(i + 1).is("polarity") ? i + 2 : i + 1;
            return line.at(at).is("sma", "tnc")
                    ? Optional.of(new Kind("RP-" + line.at(at).text().toUpperCase(Locale.ROOT), at))
                    : Optional.empty();
        }
        if (t.is("rpsma")) {
            return Optional.of(new Kind("RP-SMA", i));
        }
        if (t.is("ts", "crc")) {
            int at = line.at(i + 1).is("-") ? i + 2 : i + 1;
            return line.at(at).is("9")
                    ? Optional.of(new Kind(t.text().toUpperCase(Locale.ROOT) + "9", at))
                    : Optional.empty();
        }
        if (t.is("fakra")) {
            return Optional.of(fakra(line, i));
        }
        boolean letter = t.is("n", "f")
                && (line.at(i + 1).is(NAMES_A_CONNECTOR)
                        || line.at(i + 1).is("-") && line.at(i + 2).is(NAMES_A_CONNECTOR));
        if (letter) {
            return Optional.of(new Kind(t.text().toUpperCase(Locale.ROOT), i));
        }
        boolean plain = t.is("sma", "tnc", "fme", "qma", "mcx", "mmcx");
        return plain ? Optional.of(new Kind(t.text().toUpperCase(Locale.ROOT), i)) : Optional.empty();
    }

    /** With its coding where that stands behind it: FAKRA D, FAKRA (C), FAKRA code Z. */
    private static Kind fakra(Line line, int i) {
        for (int j = i + 1; j <= i + 3; j++) {
            String code = line.at(j).text().toUpperCase(Locale.ROOT);
            if (code.length() == 1 && Connector.kinds().contains("FAKRA " + code)) {
                return new Kind("FAKRA " + code, j);
            }
            if (!line.at(j).is("(", "-", "code", "coding", "type", "typ", "kodierung")) {
                break;
            }
        }
        return new Kind("FAKRA", i);
    }

    /** How many: 4 × SMA, two TS9, SMA x 2, or as many as the line says of what they are for (2 x LTE … SMA). */
    private static OptionalInt number(Line line, int i, int from, int end, int upTo, Optional<Use> use) {
        for (int j = i - 1; j >= Math.max(from, i - 6); j--) {
            Token t = line.at(j);
            if (t.is(",", ";", "/", "+", "and")) {
                break;
            }
            if (counts(line, j) && (line.at(j + 1).isTimes() || !isUnit(line.at(j + 1)))) {
                return OptionalInt.of((int) t.value());
            }
            int word = List.of("one", "two", "three", "four", "five", "six").indexOf(t.text());
            if (word >= 0) {
                return OptionalInt.of(word + 1);
            }
        }
        for (int j = end + 1; j <= Math.min(upTo, end + 6); j++) {
            if (line.at(j).isTimes() && counts(line, j + 1)) {
                return OptionalInt.of((int) line.at(j + 1).value());
            }
        }
        for (int j = 0; j < i; j++) {
            // as many leads of one length: 2 x 2.5 m
            if (counts(line, j)
                    && line.at(j + 1).isTimes()
                    && line.at(j + 2).isNumber()
                    && line.at(j + 3).is("m", "cm", "ft")) {
                return OptionalInt.of((int) line.at(j).value());
            }
            boolean ofUse = counts(line, j)
                    && line.at(j + 1).isTimes()
                    && use(line, j + 2, j + 4).equals(use);
            if (ofUse && use.isPresent()) {
                return OptionalInt.of((int) line.at(j).value());
            }
        }
        return OptionalInt.empty();
    }

    static boolean counts(Line line, int i) {
        Token t = line.at(i);
        return t.isNumber() && t.value() >= 1 && t.value() <= MOST && t.value() == Math.rint(t.value());
    }

    private static boolean isUnit(Token t) {
        return t.is("m", "cm", "mm", "ft", "g", "dbi", "mhz", "ghz", "ohm", "ω", "v", "w");
    }

    /** Where the words of the next connector begin. */
    private static int next(Line line, int from) {
        for (int j = from; j < line.tokens().size(); j++) {
            if (line.at(j).is(",", ";", "/", "+", "|", "·")
                    || line.at(j).is("and", "to", "auf")
                    || line.at(j).isNumber() && line.at(j + 1).isTimes()) {
                return j;
            }
        }
        return line.tokens().size();
    }

    /** The half that is said behind the connector, or just before it. */
    private static String gender(Line line, int i, int end, int upTo) {
        for (int j = end + 1; j < Math.min(upTo, end + 5); j++) {
            String half = half(line, j);
            if (!half.isEmpty()) {
                return half;
            }
        }
        return half(line, i - 1);
    }

    private static String half(Line line, int j) {
        Token t = line.at(j);
        boolean marked = line.at(j - 1).is("(", "-");
        if (t.is("male", "plug", "plugs", "stecker", "mâle", "macho") || t.is("m") && marked) {
            return "male";
        }
        boolean female = t.is("female", "jack", "jacks", "socket", "sockets", "buchse", "femelle", "hembra")
                || t.is("f") && marked;
        return female ? "female" : "";
    }

    private static Optional<Use> use(Line line, int from, int i, int end, int upTo) {
        Optional<Use> near = use(line, end + 1, upTo);
        Optional<Use> before = near.isPresent() ? near : use(line, from, i);
        if (before.isPresent()) {
            return before;
        }
        int uses = (line.isOfWifi() ? 1 : 0) + (line.isOfGnss() ? 1 : 0) + (line.isOfCellular() ? 1 : 0);
        if (uses != 1) {
            return Optional.empty();
        }
        return Optional.of(line.isOfWifi() ? Use.WIFI : line.isOfGnss() ? Use.GNSS : Use.CELLULAR);
    }

    static Optional<Use> use(Line line, int from, int to) {
        for (int j = from; j < to; j++) {
            Token t = line.at(j);
            if (t.is("gps", "gnss")) {
                return Optional.of(Use.GNSS);
            }
            if (t.is("wifi", "wlan") || t.is("wi") && line.at(j + 2).is("fi")) {
                return Optional.of(Use.WIFI);
            }
            boolean cellular = t.is("lte", "cellular", "mobile", "main", "div", "mimo")
                    || t.is("g") && line.at(j - 1).is("4", "5");
            if (cellular) {
                return Optional.of(Use.CELLULAR);
            }
        }
        return Optional.empty();
    }
}
