package syntoma.core.sheettext;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.chain.Use;
import syntoma.core.sheettext.Sockets.Some;

/** The leads of an antenna: how many, for what, their ends, their length and their cable. */
final class Leads {
    private Leads() {}

    /** The leads of an antenna, each with its length and its cable where a line says one. */
    static void read(List<Line> lines, List<FoundField> found) {
        List<Map<String, Object>> rows = new ArrayList<>();
        boolean open = false;
        Line first = null;
        StringBuilder words = new StringBuilder();
        OptionalDouble length = OptionalDouble.empty();
        Optional<String> cable = Optional.empty();
        List<Some> all = new ArrayList<>();
        for (Line line : lines) {
            boolean ofLeads = line.says("cable", "lead", "coax", "kabel", "pigtail")
                    || !Sockets.allOfLine(line).isEmpty();
            if (ofLeads && length.isEmpty()) {
                length = Sockets.metres(line);
                cable = cable.or(() -> Sockets.cableClass(line));
            } else if (cable.isEmpty()) {
                cable = Sockets.cableClass(line);
            }
            for (Some some : Sockets.allOfLine(line)) {
                first = first == null ? line : first;
                words.append(words.isEmpty() ? "" : ", ").append(some.words());
                open |= some.isOpen();
                all.add(some);
            }
        }
        if (first == null) {
            return;
        }
        Map<Use, Integer> elements = all.size() == 1 && !all.get(0).isCounted() ? elements(lines) : Map.of();
        if (elements.isEmpty()) {
            all.forEach(some -> Sockets.rows(rows, some, "male", "lead"));
        } else {
            elements.forEach((use, number) -> Sockets.rows(rows, all.get(0).of(use, number), "male", "lead"));
        }
        for (Map<String, Object> row : rows) {
            length.ifPresent(m -> row.put("lengthM", m));
            cable.ifPresent(c -> row.put("cableClass", c));
        }
        found.add(new FoundField(
                "leads",
                rows,
                words.toString(),
                first.number(),
                open ? "Are the number, the use and the connector right?" : "",
                List.of()));
    }

    /** How many elements an antenna has for what, as its sheet says apart from their connectors: 4 x 4G/5G, 1 x GNSS. */
    private static Map<Use, Integer> elements(List<Line> lines) {
        Map<Use, Integer> elements = new EnumMap<>(Use.class);
        for (Line line : lines) {
            for (int i = 0; i < line.tokens().size(); i++) {
                if (Sockets.counts(line, i) && line.at(i + 1).isTimes()) {
                    int number = (int) line.at(i).value();
                    Sockets.use(line, i + 2, i + 5).ifPresent(use -> elements.putIfAbsent(use, number));
                }
            }
        }
        return elements;
    }
}
