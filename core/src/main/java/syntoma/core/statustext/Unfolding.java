package syntoma.core.statustext;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Lines as they are read for cells: what is of Wi-Fi left out, the value of now out of a table that has the least and the most beside
 * it, and cells that are beside each other each in a line of their own.
 */
final class Unfolding {
    private static final Pattern WIFI =
            Pattern.compile("(?<![a-z])(?:wi-?fi|wlan|ssid|bssid|802\\.11[a-z]{0,2})(?![a-z])");
    private static final Stems OF_WIFI = Stems.of("wi-fi", "wifi", "wlan", "ssid", "802.11");
    private static final Set<String> NOW = Set.of("now", "current", "last", "latest", "value", "aktuell", "actuel");
    private static final Set<String> OTHERS =
            Set.of("min", "max", "avg", "average", "mean", "minimum", "maximum", "best", "worst", "mittel", "moyenne");
    private static final Stems OF_HEAD = Stems.of("max", "min", "avg", "average", "mean", "best", "moyenne", "mittel");
    private static final Pattern BESIDE = Pattern.compile("\\s*[|/;]\\s*(?=[A-Za-z0-9 -]{2,12}[ :])");
    private static final Pattern OF_CELL = Pattern.compile(
            "(?i)^\\s*(?:5g(?:[ -]?nr)?|nr|lte(?:-a)?|4g|pcc|scc[-_ #]?[0-9]?|pcell|scell[-_ #]?[0-9]?|primary|secondary|anchor)(?![\\p{L}])");
    private static final Pattern OF_ALL =
            Pattern.compile("(?i)^\\s*(?:lte-a|lte|4g|5g|ca|carriers?)\\s*:\\s*(?=pcc|pcell|primary)");

    private static final Pattern NUMBERED = Pattern.compile("^[0-9]{1,2}[.)]\\s+(?=\\p{L})");
    private static final Pattern LEADERS = Pattern.compile("(?<=\\p{L})\\s?\\.{3,}\\s?");

    /** The name of the figure in brackets behind its value. */
    private static final Pattern BEHIND = Pattern.compile(
            "(?i)^[^0-9]{3,40}?(?<value>-\\s?[0-9]{1,3}(?:[.,][0-9]{1,2})?|[0-9]{1,2}(?:[.,][0-9]{1,2})?)\\s*(?<unit>dBm?)?\\s*"
                    + "\\((?<name>RSRP|RSRQ|RSSI|SINR|SNR)\\)\\s*$");

    /** The same of several in a line, each with its unit. */
    private static final Pattern EACH_BEHIND = Pattern.compile(
            "(?i)(?<value>-?\\s?(?<![0-9.,])[0-9]{1,3}(?:[.,][0-9]{1,2})?)\\s?(?<unit>dBm?)\\s?\\((?<name>RSRP|RSRQ|RSSI|SINR|SNR)\\)");

    /** Values with their names behind them, without brackets; no name follows that has its own value behind it. */
    private static final Pattern EACH_BEFORE = Pattern.compile(
            "(?i)(?<value>-?\\s?(?<![0-9.,])[0-9]{1,3}(?:[.,][0-9]{1,2})?)\\s?(?<unit>dBm?) (?<name>RSRP|RSRQ|RSSI|SINR|SNR)(?!\\s?[\\p{L}0-9:=-])");

    private static final List<String> LEVELS = List.of("rsrp", "rsrq", "rssi", "sinr", "snr");
    private static final Stems OF_FIGURE = Stems.of("(rsrp)", "(rsrq)", "(rssi)", "(sinr)", "(snr)");
    static final String NAME = "RSRP|RSRQ|RSSI|SINR|SNR|PCI|E?ARFCN|band(?:width)?|frequenzband|bande|banda|cell id";
    private static final int LONGEST_NAMED = 120;
    private static final Stems OF_ROLE = Stems.of("lte", "4g", "5g", "nr");

    /** Of which leg a figure is stands behind its name: “Band 5G: n78”, “RSRP (LTE) = -98 dBm”. */
    private static final Pattern ROLE_BEHIND = Pattern.compile("(?i)^(?:[^:=]{0,24}[\\s(])?(?<name>" + NAME
            + ")\\)?\\s?[(\\[]?(?<rat>LTE|4G|5G(?: ?NR)?|NR)[)\\]]?(?:\\s?[:=|]|\\t| {2,})\\s*(?<rest>.+)$");

    /** Of which leg each of two values is stands behind it: “RSRP: -98 dBm (LTE), -104 dBm (5G)”. */
    private static final Pattern BOTH = Pattern.compile("(?i)^(?:[^:=]{0,24}[\\s(])?(?<name>" + NAME
            + ")\\)?(?:\\s?[:=|]|\\t| {2,})\\s*(?<lte>[^(),;|]{1,24})\\((?:LTE|4G)\\)\\s?[,;/|]?\\s?"
            + "(?<nr>[^(),;|]{1,24})\\((?:5G(?: ?NR)?|NR)\\)[ |,]*$");

    /** Which cell a column of a table is of. */
    private static final Stems OF_CELLS = Stems.of("pcc", "pcell", "primary", "anchor");

    private static final Pattern A_CELL = Pattern.compile(
            "(?i)(?:primary|secondary|anchor|pcc|scc|pcell|scell|lte|4g|nr|5g(?: ?nr)?)(?: (?:cell|carrier|component))?[-_ #]?[0-9]?");

    private static final String[] NONE = {};
    private String[] legs = NONE;
    private int now = -1;
    private int width;

    List<Lines.Line> of(Lines.Line line) {
        return unfolded(normalise(line));
    }

    private static Lines.Line normalise(Lines.Line line) {
        String text = line.text();
        if (Character.isDigit(text.charAt(0))) {
            text = NUMBERED.matcher(text).replaceFirst("");
        }
        if (text.contains("...")) {
            text = LEADERS.matcher(text).replaceAll(text.indexOf(':') < 0 ? ": " : " ");
        }
        if (text.indexOf(')') > 0 && OF_FIGURE.areIn(line.lower())) {
            text = EACH_BEHIND.matcher(text).replaceAll(" ${name}: ${value} ${unit}");
        }
        if (hasNamesBehind(line.lower())) {
            text = EACH_BEFORE.matcher(text).replaceAll(" ${name}: ${value} ${unit}");
        }
        if (text.endsWith(")")) {
            Matcher behind = BEHIND.matcher(text);
            if (behind.matches()) {
                text = behind.group("name") + ": " + behind.group("value") + " "
                        + (behind.group("unit") == null ? "dB" : behind.group("unit"));
            }
        }
        if (text.length() < LONGEST_NAMED && OF_ROLE.areIn(line.lower())) {
            Matcher named = ROLE_BEHIND.matcher(text);
            if (named.matches()) {
                text = named.group("rat") + " " + named.group("name") + ": " + named.group("rest");
            }
        }
        return text.equals(line.text()) ? line : with(line, text);
    }

    /** Whether values have their names behind them: “-104 dBm RSRP / -13 dB RSRQ”; no name stands before the first unit then. */
    private static boolean hasNamesBehind(String lower) {
        int unit = lower.indexOf("db");
        if (unit <= 0) {
            return false;
        }
        int first = -1;
        for (String name : LEVELS) {
            int at = lower.indexOf(name);
            if (at >= 0 && at < unit) {
                return false;
            }
            first = Math.max(first, at);
        }
        return first > unit;
    }

    private List<Lines.Line> unfolded(Lines.Line line) {
        if (OF_WIFI.areIn(line.lower()) && WIFI.matcher(line.lower()).find()) {
            return List.of();
        }
        if (OF_HEAD.areIn(line.lower()) && isHead(Columns.split(line.text()))) {
            return List.of();
        }
        if (legs.length == 0 && OF_ROLE.areIn(line.lower()) || OF_CELLS.areIn(line.lower())) {
            String[] named = Columns.split(line.text());
            String[] found = legs(named);
            if (found.length > 0) {
                legs = found;
                return List.of();
            }
        }
        if (legs.length > 0) {
            String[] columns = Columns.split(line.text());
            if (columns.length == legs.length + 1) {
                return ofLegs(line, columns);
            }
            // a line of one piece ends the table
            legs = columns.length == 1 ? NONE : legs;
        }
        if (now > 0) {
            String[] columns = Columns.split(line.text());
            if (columns.length == width) {
                return List.of(with(line, columns[0] + ": " + columns[now]));
            }
        }
        return besideRole(line);
    }

    /** The cells that are beside each other, as the first line of a table names them; none where it names no two. */
    private static String[] legs(String[] columns) {
        int from = columns.length > 1 && A_CELL.matcher(columns[0]).matches() ? 0 : 1;
        boolean cells = columns.length - from >= 2
                && Arrays.stream(columns, from, columns.length)
                        .allMatch(c -> A_CELL.matcher(c).matches());
        return cells ? Arrays.copyOfRange(columns, from, columns.length) : NONE;
    }

    /** A row of such a table: what it names of each cell. */
    private List<Lines.Line> ofLegs(Lines.Line line, String[] columns) {
        List<Lines.Line> lines = new ArrayList<>();
        for (int i = 0; i < legs.length; i++) {
            lines.add(with(line, legs[i] + " " + columns[0].replaceFirst("\\s*[:=]\\s*$", "") + ": " + columns[i + 1]));
        }
        return lines;
    }

    /** Whether it names the columns of now, least and most. */
    private boolean isHead(String[] columns) {
        List<String> words = Arrays.stream(columns)
                .map(c -> c.toLowerCase(Locale.ROOT).strip())
                .toList();
        boolean others = words.stream().anyMatch(OTHERS::contains);
        boolean named = others && !NOW.contains(words.get(0)) && !OTHERS.contains(words.get(0));
        for (int i = named ? 1 : 0; others && i < words.size(); i++) {
            if (NOW.contains(words.get(i))) {
                // above the names there may be nothing
                now = named ? i : i + 1;
                width = named ? columns.length : columns.length + 1;
                return true;
            }
        }
        return false;
    }

    private static List<Lines.Line> besideRole(Lines.Line line) {
        if (line.text().indexOf(')') > 0 && OF_ROLE.areIn(line.lower())) {
            Matcher both = BOTH.matcher(line.text());
            if (both.matches()) {
                return List.of(
                        with(line, "LTE " + both.group("name") + ": " + both.group("lte")),
                        with(line, "NR " + both.group("name") + ": " + both.group("nr")));
            }
        }
        if (line.text().indexOf('|') < 0
                && line.text().indexOf('/') < 0
                && line.text().indexOf(';') < 0) {
            return List.of(line);
        }
        String text = OF_ALL.matcher(line.text()).replaceFirst("");
        String[] parts = BESIDE.split(text);
        boolean cells = parts.length > 1
                && Arrays.stream(parts).allMatch(p -> OF_CELL.matcher(p).find());
        if (!cells) {
            return List.of(line);
        }
        List<Lines.Line> lines = new ArrayList<>();
        for (String part : parts) {
            lines.add(with(line, part.strip()));
        }
        return lines;
    }

    private static Lines.Line with(Lines.Line line, String text) {
        return new Lines.Line(line.number(), text, text.toLowerCase(Locale.ROOT));
    }
}
