package syntoma.core.statustext;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;

/** A text in lines as they are read: without what is no text, with one kind of minus and one kind of space. */
final class Lines {
    /** Longer lines are cut: no page of a router has such ones, and what reads them must not be made to wait. */
    private static final int LONGEST = 2_000;

    private static final int MOST = 20_000;
    private static final Set<String> NAMES =
            Bands.all().stream().map(Band::name).collect(Collectors.toUnmodifiableSet());

    /** What stands before a line of a list, or of a text that is quoted. */
    private static final Pattern BULLET = Pattern.compile("^(?:[•‣▪●○◦*·>»-]\\s+)+(?=[\\p{L}\\[(\"])");

    /** A line of metrics: its name, what it is of, its value. */
    private static final Pattern METRIC = Pattern.compile(
            "(?<![\\w:.\"])(?<name>[A-Za-z_:][\\w:.]{0,80})\\{(?<of>[^{}]{0,300})\\}[\\s\\u00a0]+(?<value>[-+−–]?[0-9][0-9.,eE+-]{0,20})(?:[\\s\\u00a0]+[0-9]+)?[\\s\\u00a0]*$");

    /** A member of an object as a program prints it. */
    private static final Pattern MEMBER = Pattern.compile("(?<![\\p{L}\\p{N}_])m(?=[A-Z][A-Za-z]{1,30}\\s?=)");

    /** The cell’s identity as such an object has it. */
    private static final Pattern CI = Pattern.compile("(?<![\\p{L}\\p{N}_])Ci(?=\\s?=)");
    /** The shortest key that a band has in JSON. */
    private static final Pattern B = Pattern.compile("\"[bB]\"(?=\\s?:)");

    private static final int FEWEST_ROWS = 3;

    /** How much of a text tells how it is laid out. */
    private static final int TELLING = 20_000;

    /** A row of names and values, and perhaps units, in columns that commas or semicolons part. */
    private static final List<Pattern> ROWS = Stream.of(",", ";")
            .map(mark -> Pattern.compile("(?m)^[ \\t\\u00a0>•*]{0,8}\"?(\\p{L}[\\p{L}\\u00a0 _-]{1,30})\"?" + mark
                    + "(\"?[^,;:=\\r\\n]{1,40}\"?(?:" + mark + "\"?[\\p{L}%/]{0,8}\"?)?" + mark + "?[ \\t\\u00a0]*)$"))
            .toList();

    private static final Stems DASHES = Stems.of(" - ", "\u00a0-\u00a0", "–", "—");
    /** A dash between a name and a value that has a minus of its own. */
    private static final Pattern DASH =
            Pattern.compile("[\\p{L})][ \\t\\u00a0]{1,3}(?<dash>[—–-])[ \\t\\u00a0]{1,3}[−–-]\\s?[0-9]");
    /** A key of several words without anything between them, and where they meet. */
    private static final Pattern KEY =
            Pattern.compile("[A-Za-z_]{2,30}[a-z][A-Z][a-z][A-Za-z0-9_]{0,30}(?=\"?\\s?[:=])");

    private static final Pattern JOINT = Pattern.compile("(?<=[a-z]{2})(?=[A-Z][a-z])");
    private static final Pattern BRACES = Pattern.compile("[{}]");
    private static final Pattern LEADING = Pattern.compile("^[\\s,]+");
    private static final Pattern QUOTES = Pattern.compile("[\"{}]");

    /** A band in the other letter case, standing alone; not the half of a hardware address. */
    private static final Pattern BAND =
            Pattern.compile("(?<![^\\s(+,/:=\\[@|-])(?<![0-9a-fA-F]{2}:)(?:b|N)[1-9][0-9]{0,2}(?![^\\s)+,/\\]@|;])");

    private Lines() {}

    /** A line by its number in the text, from 1; {@code lower} is the same in small letters. */
    record Line(int number, String text, String lower) {}

    static List<Line> of(String text) {
        String shown = separated(columned(text.indexOf('<') < 0 ? text : Markup.without(text)));
        List<Line> lines = new ArrayList<>();
        int number = 0;
        int from = 0;
        while (from <= shown.length() && number < MOST) {
            int end = from;
            while (end < shown.length() && shown.charAt(end) != '\n' && shown.charAt(end) != '\r') {
                end++;
            }
            number++;
            add(lines, number, shown.substring(from, Math.min(end, from + LONGEST)));
            boolean both = end + 1 < shown.length() && shown.charAt(end) == '\r' && shown.charAt(end + 1) == '\n';
            from = end + (both ? 2 : 1);
        }
        return lines;
    }

    /** With a colon behind the names of a table of names and values, whose columns commas or semicolons part. */
    private static String columned(String text) {
        for (Pattern row : ROWS) {
            Matcher rows = row.matcher(text).region(0, Math.min(text.length(), TELLING));
            int found = 0;
            while (found < FEWEST_ROWS && rows.find()) {
                found++;
            }
            if (found == FEWEST_ROWS) {
                return rows.reset().replaceAll("$1: $2");
            }
        }
        return text;
    }

    /** With a colon for the dash that stands between names and values, where one stands before a minus. */
    private static String separated(String text) {
        Matcher dash = DASH.matcher(text);
        if (!DASHES.areIn(text) || !dash.find()) {
            return text;
        }
        String of = Pattern.quote(dash.group("dash"));
        return Pattern.compile("(?m)^([^:=\\n]{1,40}?[\\p{L})])[ \\t\\u00a0]{1,3}" + of + "[ \\t\\u00a0]{1,3}(?=\\S)")
                .matcher(text)
                .replaceAll("$1: ");
    }

    /** A line of JSON is read brace by brace, since what stands before one says of what it is. */
    private static void add(List<Line> lines, int number, String line) {
        String raw = asWritten(line);
        boolean nested = raw.indexOf('{') >= 0 && raw.indexOf('{') != raw.lastIndexOf('{');
        for (String part : nested ? BRACES.split(raw) : new String[] {raw}) {
            String text = normalise(nested ? LEADING.matcher(part).replaceFirst("") : part);
            if (!text.isBlank()) {
                lines.add(new Line(number, text, text.toLowerCase(Locale.ROOT)));
            }
        }
    }

    /** What programs write for each other, with its names and values as a person would write them. */
    private static String asWritten(String line) {
        String text = line;
        if (line.indexOf('{') > 0) {
            text = METRIC.matcher(text).replaceFirst("${of}, ${name}: ${value}");
        }
        if (line.contains("\"b\"") || line.contains("\"B\"")) {
            text = B.matcher(text).replaceAll("\"band\"");
        }
        if (text.indexOf('=') > 0) {
            text = CI.matcher(MEMBER.matcher(text).replaceAll("")).replaceAll("cell id");
        }
        return text.indexOf('=') > 0 || text.indexOf('"') >= 0 ? inWords(text) : text;
    }

    /** Bands as the field writes them: a page in capitals has N78, one in small letters b20. */
    private static String banded(String text) {
        if (!hasBand(text)) {
            return text;
        }
        return BAND.matcher(text).replaceAll(found -> {
            String band = found.group();
            String name = (band.charAt(0) == 'N' ? "n" : "B") + band.substring(1);
            return NAMES.contains(name) ? name : Matcher.quoteReplacement(band);
        });
    }

    /** Looks for one before a pattern does: most lines have none. */
    private static boolean hasBand(String text) {
        for (int i = 0; i + 1 < text.length(); i++) {
            char c = text.charAt(i);
            if ((c == 'b' || c == 'N') && Character.isDigit(text.charAt(i + 1))) {
                return true;
            }
        }
        return false;
    }

    /** Without what stands before a line of a list. */
    private static String unlisted(String text) {
        return text.isEmpty() || Character.isLetterOrDigit(text.charAt(0))
                ? text
                : BULLET.matcher(text).replaceFirst("");
    }

    /** Keys of several words that are put together, apart: rsrpDbm, networkOperatorName. */
    private static String inWords(String text) {
        Matcher key = KEY.matcher(text);
        return key.find()
                ? key.reset()
                        .replaceAll(m -> Matcher.quoteReplacement(
                                JOINT.matcher(m.group()).replaceAll(" ")))
                : text;
    }

    private static String normalise(String line) {
        StringBuilder out = new StringBuilder();
        String text = line.indexOf('&') < 0
                ? line
                : line.replace("&nbsp;", " ")
                        .replace("&minus;", "-")
                        .replace("&#8722;", "-")
                        .replace("&amp;", "&")
                        .replace("&lt;", "<")
                        .replace("&gt;", ">");
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == '−' || c == '–' || c == '—' || c == '‒' || c == '‑' || c == '‐' || c == '﹣' || c == '－') {
                out.append('-');
            } else if (c == '：') {
                out.append(':');
            } else if (c == '\t') {
                out.append('\t');
            } else if (Character.isSpaceChar(c) || c == '\u200b' || c == '\ufeff') {
                out.append(' ');
            } else if (!Character.isISOControl(c)) {
                out.append(c);
            }
        }
        String plain = banded(unlisted(out.toString().strip()));
        // a terminal's answer keeps its quotes; elsewhere they only stand around names and values
        return plain.startsWith("+")
                ? plain
                : QUOTES.matcher(plain).replaceAll(" ").strip();
    }
}
