package syntoma.core.reply;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a modem answers to the standard commands of TS 27.007, read into a reading: the network in use ({@code +COPS}), the signal
 * ({@code +CSQ}, {@code +CESQ}) and the cell ({@code +CEREG}, {@code +C5GREG}). Indices give the lower edge of their interval.
 */
public final class AtAnswers {
    /** What is asked, in this order; a modem that does not know one of them says so. */
    public static final List<String> COMMANDS = List.of(
            "AT+COPS=3,0", "AT+COPS?", "AT+CEREG=2", "AT+CEREG?", "AT+C5GREG=2", "AT+C5GREG?", "AT+CSQ", "AT+CESQ");

    private static final Pattern COPS = Pattern.compile("\\+COPS: ?[0-4],[0-2],\"([^\"]{0,120})\"(?:,([0-9]{1,2}))?");
    private static final Pattern REG = Pattern.compile(
            "\\+(CEREG|C5GREG): ?[0-9],([0-9]{1,2})(?:,\"?([0-9A-Fa-f]{1,8})\"?,\"?([0-9A-Fa-f]{1,9})\"?(?:,([0-9]{1,2}))?.*)?");
    private static final int CSQ_UNKNOWN = 99;
    private static final int CESQ_UNKNOWN = 255;
    private static final int E_UTRAN = 7;
    private static final int NR_5GC = 11;
    private static final int DUAL = 13;
    private static final List<String> HERE = List.of("1", "5");

    private final Map<CellField, String> lte = new EnumMap<>(CellField.class);
    private final Map<CellField, String> nr = new EnumMap<>(CellField.class);
    private Optional<String> carrier = Optional.empty();
    private Optional<Integer> technology = Optional.empty();
    private Optional<Boolean> registered = Optional.empty();

    private AtAnswers() {}

    /** Reads the lines that came back, of all commands together; lines that are none of these are passed over. */
    public static RouterReading read(List<String> lines) {
        AtAnswers answers = new AtAnswers();
        lines.forEach(line -> answers.line(line.strip()));
        return answers.reading();
    }

    private void line(String line) {
        Matcher cops = COPS.matcher(line);
        Matcher reg = REG.matcher(line);
        if (cops.matches()) {
            carrier = Optional.of(cops.group(1)).filter(name -> !name.isBlank());
            technology = Optional.ofNullable(cops.group(2)).map(Integer::parseInt);
        } else if (reg.matches()) {
            boolean here = HERE.contains(reg.group(2));
            registered = Optional.of(registered.orElse(false) || here);
            if (here && reg.group(4) != null) {
                (reg.group(1).equals("CEREG") ? lte : nr)
                        .put(CellField.CELL_ID, Long.toString(Long.parseLong(reg.group(4), 16)));
            }
        } else if (line.startsWith("+CSQ:")) {
            index(numbers(line), 0, CSQ_UNKNOWN, 2, -113).ifPresent(v -> lte.put(CellField.RSSI_DBM, v));
        } else if (line.startsWith("+CESQ:")) {
            List<Integer> n = numbers(line);
            index(n, 4, CESQ_UNKNOWN, 0.5, -20).ifPresent(v -> lte.put(CellField.RSRQ_DB, v));
            index(n, 5, CESQ_UNKNOWN, 1, -141).ifPresent(v -> lte.put(CellField.RSRP_DBM, v));
            index(n, 6, CESQ_UNKNOWN, 0.5, -43.5).ifPresent(v -> nr.put(CellField.RSRQ_DB, v));
            index(n, 7, CESQ_UNKNOWN, 1, -157).ifPresent(v -> nr.put(CellField.RSRP_DBM, v));
            index(n, 8, CESQ_UNKNOWN, 0.5, -23.5).ifPresent(v -> nr.put(CellField.SINR_DB, v));
        }
    }

    private static List<Integer> numbers(String line) {
        String[] parts = line.substring(line.indexOf(':') + 1).strip().split(",");
        return Arrays.stream(parts)
                .map(String::strip)
                .map(part -> part.matches("[0-9]{1,3}") ? Integer.parseInt(part) : CESQ_UNKNOWN)
                .toList();
    }

    private static Optional<String> index(List<Integer> numbers, int at, int unknown, double step, double from) {
        return at >= numbers.size() || numbers.get(at) >= unknown
                ? Optional.empty()
                : Optional.of(Double.toString(from + step * numbers.get(at)));
    }

    private RouterReading reading() {
        List<Cell> cells = new ArrayList<>();
        List<String> problems = new ArrayList<>();
        boolean alone = technology.filter(t -> t == NR_5GC).isPresent()
                || !nr.isEmpty()
                        && !lte.containsKey(CellField.RSRP_DBM)
                        && technology.filter(t -> t == E_UTRAN || t == DUAL).isEmpty();
        boolean unregistered = registered.equals(Optional.of(false));
        if (!unregistered) {
            if (!alone) {
                add(cells, problems, Role.PRIMARY, false, lte);
            }
            add(cells, problems, alone ? Role.PRIMARY : Role.NR, true, nr);
        }
        Optional<String> mode = unregistered
                ? Optional.of(Modes.NONE)
                : technology.flatMap(AtAnswers::mode).or(() -> Modes.mode(Optional.empty(), cells));
        boolean leg =
                cells.stream().anyMatch(c -> c.role() == Role.NR && c.rsrpDbm().isPresent());
        return new RouterReading(mode.map(m -> m.equals("LTE") && leg ? "NR-NSA" : m), carrier, cells, problems);
    }

    private static void add(
            List<Cell> cells, List<String> problems, Role role, boolean isNr, Map<CellField, String> texts) {
        CellValues values = new CellValues(role.label(), texts);
        Cell cell = values.read(role, isNr);
        problems.addAll(values.problems());
        if (cell.isThere()) {
            cells.add(cell);
        }
    }

    /** The access technologies of TS 27.007, 7.3. */
    private static Optional<String> mode(int act) {
        return switch (act) {
            case 0, 1, 3 -> Optional.of("GSM");
            case 2, 4, 5, 6 -> Optional.of("UMTS");
            case E_UTRAN, 8, 9, 10 -> Optional.of("LTE");
            case NR_5GC, 12 -> Optional.of("NR-SA");
            case DUAL -> Optional.of("NR-NSA");
            default -> Optional.empty();
        };
    }
}
