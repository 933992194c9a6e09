package syntoma.core.reply;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;
import syntoma.core.band.Channels;
import syntoma.core.reading.RadioMetric;
import syntoma.core.reading.Rat;
import syntoma.core.unit.Text;

/** The texts of one cell, read into figures; what cannot be believed is said and left out. */
final class CellValues {
    private static final Pattern NUMBER = Pattern.compile("([+\\-−]?[0-9]{1,9}(?:[.,][0-9]{1,6})?)\\s*([a-zA-Z]*).*");
    /** B20, n78, band 3, also within more words; a number alone is a band of what the cell is. */
    private static final Pattern BAND =
            Pattern.compile("(?i)(?<![a-z0-9])(n|b|band[ _-]?)([0-9]{1,3})(?![0-9])|^([0-9]{1,3})$");

    private static final Pattern HEX = Pattern.compile("(?i)(?:0x)?([0-9a-f]{1,9})");
    private static final Set<Double> WIDTHS = Set.of(
            1.4, 3.0, 5.0, 10.0, 15.0, 20.0, 25.0, 30.0, 35.0, 40.0, 45.0, 50.0, 60.0, 70.0, 80.0, 90.0, 100.0, 200.0,
            400.0);

    /** What the devices that there are write for “none” among levels. */
    private static final Set<Double> STANDS_FOR_NONE = Set.of(-32768.0, 32767.0, 255.0, 99.0, 65535.0);

    private static final int MOST_LTE_PCI = 503;
    private static final int MOST_NR_PCI = 1007;
    private static final int MOST_ARFCN = 3_279_165;
    private static final double KHZ_FROM = 1_000;
    private static final long MOST_CELL_ID = (1L << 36) - 1;

    private final String name;
    private final Map<CellField, String> texts = new EnumMap<>(CellField.class);
    private final List<String> problems = new ArrayList<>();

    /**
     * The texts of a cell.
     *
     * @param name what the cell is called in a message
     */
    CellValues(String name, Map<CellField, String> texts) {
        this.name = name;
        this.texts.putAll(texts);
    }

    List<String> problems() {
        return problems;
    }

    /**
     * Reads them.
     *
     * @param nr whether it is an NR cell, where its own texts do not say
     */
    Cell read(Role role, boolean nr) {
        Optional<String> rat =
                texts.containsKey(CellField.RAT) ? Modes.rat(texts.get(CellField.RAT)) : Optional.empty();
        String band = texts.getOrDefault(CellField.BAND, "");
        boolean isNr = rat.map(r -> r.equals("NR"))
                .orElse(role == Role.NR || nr || band.toLowerCase(Locale.ROOT).matches(".*\\bn ?[0-9].*"));
        Optional<Integer> arfcn = integer(CellField.ARFCN, 0, MOST_ARFCN);
        Optional<String> named = band(isNr);
        if (named.isEmpty() && !isNr && arfcn.isPresent()) {
            named = bandOf(arfcn.get());
        }
        Optional<String> technology =
                rat.isPresent() ? rat : Optional.of(isNr ? "NR" : "LTE").filter(r -> isNr || isNamedLte(texts));
        return new Cell(
                role,
                technology,
                named,
                arfcn,
                width(),
                integer(CellField.PCI, 0, isNr ? MOST_NR_PCI : MOST_LTE_PCI),
                cellId(),
                level(CellField.RSSI_DBM, RadioMetric.RSSI, isNr),
                level(CellField.RSRP_DBM, RadioMetric.RSRP, isNr),
                level(CellField.RSRQ_DB, RadioMetric.RSRQ, isNr),
                level(CellField.SINR_DB, RadioMetric.SINR, isNr));
    }

    /** Whether something says that it is a cell of LTE: those of UMTS have neither an RSRP nor a PCI. */
    private static boolean isNamedLte(Map<CellField, String> texts) {
        return texts.containsKey(CellField.RSRP_DBM)
                || texts.containsKey(CellField.PCI)
                || texts.containsKey(CellField.RSRQ_DB);
    }

    private Optional<Double> level(CellField field, RadioMetric metric, boolean nr) {
        String text = texts.get(field);
        if (text == null) {
            return Optional.empty();
        }
        Optional<Double> value = number(text);
        boolean allNought = texts.keySet().stream()
                .filter(CellField::isLevel)
                .allMatch(f -> number(texts.get(f)).filter(v -> v == 0).isPresent());
        if (value.isEmpty() || STANDS_FOR_NONE.contains(value.get()) || allNought) {
            return problem(field, text, "means “not available”");
        }
        try {
            return Optional.of(metric.check(value.get(), Optional.of(nr ? Rat.NR_SA : Rat.LTE)));
        } catch (IllegalArgumentException refused) {
            problems.add(name + ": " + refused.getMessage());
            return Optional.empty();
        }
    }

    private Optional<Double> width() {
        String text = texts.get(CellField.BANDWIDTH_MHZ);
        if (text == null) {
            return Optional.empty();
        }
        Matcher m = NUMBER.matcher(text);
        Optional<Double> value = number(text);
        boolean khz = m.matches() && m.group(2).equalsIgnoreCase("kHz")
                || value.filter(v -> v >= KHZ_FROM).isPresent();
        Optional<Double> mhz = value.map(v -> khz ? v / 1_000 : v).filter(WIDTHS::contains);
        return mhz.isPresent() ? mhz : problem(CellField.BANDWIDTH_MHZ, text, "is no width of a carrier in MHz");
    }

    private Optional<Integer> integer(CellField field, int low, int high) {
        String text = texts.get(field);
        if (text == null) {
            return Optional.empty();
        }
        Optional<Integer> value = number(text)
                .filter(v -> v == Math.rint(v) && v >= low && v <= high)
                .map(Double::intValue);
        return value.isPresent() ? value : problem(field, text, "is not between " + low + " and " + high);
    }

    private Optional<String> cellId() {
        String text = texts.get(CellField.CELL_ID);
        if (text == null) {
            return Optional.empty();
        }
        String plain = text.strip();
        Matcher m = HEX.matcher(plain);
        if (m.matches()) {
            boolean decimal = plain.chars().allMatch(c -> c >= '0' && c <= '9');
            long value = Long.parseLong(decimal ? plain : m.group(1), decimal ? 10 : 16);
            if (value > 0 && value <= MOST_CELL_ID) {
                return Optional.of(Long.toString(value));
            }
        } else if (plain.matches("[0-9]{1,11}") && Long.parseLong(plain) <= MOST_CELL_ID) {
            return Optional.of(Long.toString(Long.parseLong(plain)));
        }
        return problem(CellField.CELL_ID, text, "is no cell identity");
    }

    private Optional<String> band(boolean nr) {
        String text = texts.get(CellField.BAND);
        if (text == null) {
            return Optional.empty();
        }
        Matcher m = BAND.matcher(text.strip());
        if (m.find()) {
            boolean n = nr || "n".equalsIgnoreCase(m.group(1));
            int number = Integer.parseInt(m.group(2) == null ? m.group(3) : m.group(2));
            Optional<String> name = knownBand((n ? "n" : "B") + number);
            if (name.isPresent()) {
                return name;
            }
        }
        return problem(CellField.BAND, text, "is no operating band");
    }

    private static Optional<String> knownBand(String name) {
        try {
            return Optional.of(Bands.of(name).name());
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }

    private static Optional<String> bandOf(int earfcn) {
        try {
            return Channels.earfcn(earfcn).band().map(Band::name);
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }

    private <T> Optional<T> problem(CellField field, String text, String what) {
        problems.add(name + ": " + field.field() + " " + Text.quote(text) + " " + what);
        return Optional.empty();
    }

    /** The number that a text begins with. */
    static Optional<Double> number(String text) {
        Matcher m = NUMBER.matcher(text.strip());
        return m.matches()
                ? Optional.of(Double.parseDouble(m.group(1).replace('−', '-').replace(',', '.')))
                : Optional.empty();
    }
}
