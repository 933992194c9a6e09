package syntoma.core.sheettext;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import syntoma.core.band.Bands;
import syntoma.core.sheettext.Amounts.Unit;
import syntoma.core.unit.Text;

/** What a person types into one field of a sheet the way leaflets write it. */
public final class FieldReader {
    private static final int LONGEST = 60;
    private static final Map<String, List<Unit>> UNITS = Map.of(
            "MHz", Amounts.MHZ,
            "V", Amounts.VOLTS,
            "W", Amounts.WATTS,
            "dBi", Amounts.DBI,
            "dB", Amounts.DB,
            "dBm", Amounts.DBM,
            "m", Amounts.METRES,
            "mm", Amounts.MILLIMETRES,
            "Mb/s", Amounts.MBPS,
            "GB", Amounts.GIGABYTES);

    private FieldReader() {}

    /**
     * A number with its unit, in the unit of the field: 0.7 GHz in MHz is 700, 80 mm in m is 0.08; € 399,00 without a unit is
     * 399; 2×2 is 2; 20 × 20 cm in cm² is 400. Empty where the text is anything else.
     */
    public static OptionalDouble number(String text, String unit) {
        if (text.length() > LONGEST) {
            return OptionalDouble.empty();
        }
        String plain = text.strip().replace('−', '-');
        boolean negative = plain.startsWith("-");
        Line line = Line.of(negative ? plain.substring(1) : plain).stream()
                .findFirst()
                .orElse(null);
        if (line == null) {
            return OptionalDouble.empty();
        }
        OptionalDouble value = value(line, unit);
        return value.isPresent() && negative ? OptionalDouble.of(-value.getAsDouble()) : value;
    }

    private static OptionalDouble value(Line line, String unit) {
        int size = line.tokens().size();
        boolean times = size >= 3
                && line.at(0).isNumber()
                && line.at(1).isTimes()
                && line.at(2).isNumber();
        if (times && unit.equals("cm²") && (size == 3 || size == 4 && line.at(3).is("cm", "mm"))) {
            double factor = line.at(3).is("mm") ? 0.01 : 1;
            return OptionalDouble.of(
                    Amounts.tidy(line.at(0).value() * line.at(2).value() * factor));
        }
        if (times
                && unit.isEmpty()
                && size == 3
                && line.at(0).value() == line.at(2).value()) {
            return OptionalDouble.of(line.at(0).value());
        }
        if (unit.isEmpty()) {
            return Prices.barePrice(line);
        }
        List<Unit> units = UNITS.get(unit);
        if (units == null || !line.at(0).isNumber()) {
            return OptionalDouble.empty();
        }
        List<Amounts.Amount> amounts = Amounts.of(line, units);
        boolean all = amounts.size() == 1
                && amounts.get(0).to() == size - 1
                && !amounts.get(0).isRange();
        return all ? OptionalDouble.of(Amounts.tidy(amounts.get(0).low())) : OptionalDouble.empty();
    }

    /**
     * Bands as leaflets list them: LTE B1/B3/B7, 4G: 1, 3, 7 and n77/78; each with its letter.
     *
     * @throws IllegalArgumentException naming what is no band
     */
    public static List<String> bands(String text) {
        Set<String> bands = new LinkedHashSet<>();
        for (Line line : Line.of(text)) {
            String prefix = "";
            for (int i = 0; i < line.tokens().size(); i++) {
                Token t = line.at(i);
                boolean generation =
                        t.isNumber() && line.at(i + 1).is("g") && line.at(i + 1).start() == t.end();
                if (generation) {
                    prefix = t.is("5") ? "n" : "B";
                } else if (t.isNumber()) {
                    bands.add(Bands.of(prefix + t.text()).name());
                } else if (t.is("b", "n")) {
                    prefix = t.is("n") ? "n" : "B";
                } else if (t.is("lte", "fdd", "tdd")) {
                    prefix = prefix.equals("n") && !t.is("lte") ? "n" : "B";
                } else if (t.is("nr", "sa", "nsa")) {
                    prefix = "n";
                } else if (!isFiller(t)) {
                    throw new IllegalArgumentException("no band is named "
                            + Text.quote(line.text().substring(t.start(), t.end()))
                            + "; write them such as B3 B20 n78");
                }
            }
        }
        return List.copyOf(bands);
    }

    private static boolean isFiller(Token t) {
        return t.is(",", ";", "/", "|", "·", "&", "+", ":", "-", "(", ")", "and", "und", "band", "bands", "g", "•");
    }

    /** Rows of ports, leads or ranges from a few words: 4 × SMA, 698-960 MHz 3 dBi; none where there are none in them. */
    public static List<Map<String, Object>> rows(String field, String text) {
        List<FoundField> found = new ArrayList<>();
        List<Line> lines = Line.of(text);
        switch (field) {
            case "ports" -> Sockets.ports(lines, found);
            case "leads" -> Leads.read(lines, found);
            case "ranges" -> GainRanges.read(lines, found);
            case "uplink", "downlink" -> {
                return lines.stream()
                        .flatMap(line -> GainRanges.spans(line).stream())
                        .map(FieldReader::span)
                        .toList();
            }
            default -> {
                return List.of();
            }
        }
        return found.stream()
                .filter(f -> f.field().equals(field))
                .findFirst()
                .map(f -> rows(f.value()))
                .orElse(List.of());
    }

    private static Map<String, Object> span(Amounts.Amount a) {
        Map<String, Object> row = new LinkedHashMap<>();
        row.put("fromMhz", Amounts.tidy(a.low()));
        row.put("toMhz", Amounts.tidy(a.high()));
        return row;
    }

    @SuppressWarnings("unchecked")
    private static List<Map<String, Object>> rows(Object value) {
        return (List<Map<String, Object>>) value;
    }
}
