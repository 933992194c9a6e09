package syntoma.core.statustext;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;

/** A text in lines as they are read: without what is no text, with one kind of minus and one kind of space. */
final class Lines {
    /** Longer lines are cut: no page of a router has such ones, and what reads them must not be made to wait. */
    private static final int LONGEST = 2_000;

    private static final int MOST = 20_000;
    private static final Set<String> NAMES =
            Bands.all().stream().map(Band::name).collect(Collectors.toUnmodifiableSet());
    private static final List<String> UNSHOWN = List.of("script", "style");
    private static final Pattern BREAKS = Pattern.compile("(?i)<(?:br|/tr|/p|/div|/li|/h[1-6]|/dt|/dd)\\b[^>]{0,200}>");
    private static final Pattern CELLS = Pattern.compile("(?i)</(?:td|th)>");
    private static final Pattern TAGS = Pattern.compile("<[a-zA-Z/!][^<>]{0,2000}>");

    /** What stands before a line of a list, or of a text that is quoted. */
    private static final Pattern BULLET = Pattern.compile("^(?:[•‣▪●○◦*·>»-]\\s+)+(?=[\\p{L}\\[(\"])");

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
        String shown = text.indexOf('<') < 0 ? text : withoutTags(text);
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

    /** A line of JSON is read brace by brace, since what stands before one says of what it is. */
    private static void add(List<Line> lines, int number, String raw) {
        boolean nested = raw.indexOf('{') >= 0 && raw.indexOf('{') != raw.lastIndexOf('{');
        for (String part : nested ? BRACES.split(raw) : new String[] {raw}) {
            String line = plain(nested ? LEADING.matcher(part).replaceFirst("") : part);
            if (!line.isBlank()) {
                lines.add(new Line(number, line, line.toLowerCase(Locale.ROOT)));
            }
        }
    }

    private static String withoutTags(String text) {
        String shown = text;
        for (String element : UNSHOWN) {
            shown = without(shown, element);
        }
        shown = BREAKS.matcher(shown).replaceAll("\n");
        shown = CELLS.matcher(shown).replaceAll("\t");
        return TAGS.matcher(shown).replaceAll(" ");
    }

    /** Without what stands between the tags of an element; of one that is not closed nothing is shown to the end. */
    private static String without(String text, String element) {
        String lower = small(text);
        StringBuilder kept = new StringBuilder();
        int from = 0;
        for (int open = lower.indexOf("<" + element); open >= 0; open = lower.indexOf("<" + element, from)) {
            kept.append(text, from, open);
            int close = lower.indexOf("</" + element, open);
            if (close < 0) {
                return kept.toString();
            }
            from = close;
        }
        return kept.append(text, from, text.length()).toString();
    }

    /** Small letters of the alphabet of tags, each in its place. */
    private static String small(String text) {
        StringBuilder small = new StringBuilder(text.length());
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            small.append(c >= 'A' && c <= 'Z' ? (char) (c + ('a' - 'A')) : c);
        }
        return small.toString();
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

    private static String plain(String line) {
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
