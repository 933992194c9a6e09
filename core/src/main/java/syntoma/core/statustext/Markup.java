package syntoma.core.statustext;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a text with tags shows: of a page its lines, of data the names and values of its elements and their attributes. */
final class Markup {
    private static final List<String> UNSHOWN = List.of("script", "style");
    private static final Pattern BREAKS = Pattern.compile("(?i)<(?:br|/tr|/p|/div|/li|/h[1-6]|/dt|/dd)\\b[^>]{0,200}>");
    private static final Pattern CDATA = Pattern.compile("<!\\[CDATA\\[([^\\]<>]{0,200})]]>");
    private static final Pattern CELLS = Pattern.compile("(?i)</(?:td|th)>");
    private static final Pattern TAGS = Pattern.compile("<[a-zA-Z/!?][^<>]{0,2000}>");

    /** An element that holds one value. */
    private static final Pattern ELEMENT =
            Pattern.compile("<([A-Za-z_][\\w.:-]{0,60})([\\s\\u00a0][^<>]{0,500})?>([^<>]{0,200})</\\1\\s?>");

    /** The beginning of an element, or all of one, with attributes. */
    private static final Pattern BEGIN =
            Pattern.compile("<([A-Za-z_][\\w.:-]{0,60})([\\s\\u00a0][^<>]{0,500}?)?\\s?/?>");

    /** All that is said of one cell, which is read as one line. */
    private static final Pattern BLOCK = Pattern.compile(
            "(?is)<((?:[a-z_]{0,20}cell|carrier|[a-z_]{0,20}neighbou?r|component)[a-z0-9_]{0,20})(?:[\\s\\u00a0][^<>]{0,500})?>(?:(?!</?\\1[\\s>]).){0,1500}?</\\1\\s?>");

    private static final Pattern COMMAS = Pattern.compile(" ?,(?: ?,)+ ?");
    private static final Pattern GAPS = Pattern.compile("\\s+");
    private static final Pattern ATTRIBUTE =
            Pattern.compile("([A-Za-z_][\\w.:-]{0,60})\\s?=\\s?[\"']([^\"']{0,200})[\"']");

    /** The names of elements that pages are made of; of what else there is, the name says what it holds. */
    private static final Set<String> OF_PAGES =
            Set.of(("a abbr article aside b body br button caption center code col colgroup dd div dl dt em"
                            + " fieldset figure font footer form h1 h2 h3 h4 h5 h6 head header hr html i img input ins kbd label legend li link"
                            + " main meta nav nobr ol option p path pre progress q s samp section select small span strong sub summary sup svg"
                            + " table tbody td text tfoot th thead time title tr tt u ul var")
                    .split(" "));

    private Markup() {}

    static String without(String text) {
        String shown = text;
        for (String element : UNSHOWN) {
            shown = without(shown, element);
        }
        shown = CDATA.matcher(shown).replaceAll("$1");
        shown = BLOCK.matcher(shown)
                .replaceAll(m -> Matcher.quoteReplacement("\n" + oneLine(data(m.group(), ", ")) + "\n"));
        shown = data(shown, "\n");
        shown = BREAKS.matcher(shown).replaceAll("\n");
        shown = CELLS.matcher(shown).replaceAll("\t");
        return TAGS.matcher(shown).replaceAll(" ");
    }

    private static String oneLine(String block) {
        return COMMAS.matcher(GAPS.matcher(block).replaceAll(" "))
                .replaceAll(", ")
                .replaceFirst("^ ?, ?", "");
    }

    /** With names and values in the place of the elements that hold data. */
    private static String data(String text, String between) {
        String values = ELEMENT.matcher(text)
                .replaceAll(m -> isOfPages(m.group(1))
                        ? Matcher.quoteReplacement(m.group())
                        : Matcher.quoteReplacement(
                                between + m.group(1) + attributes(m.group(2)) + ": " + m.group(3) + between));
        return BEGIN.matcher(values)
                .replaceAll(m -> isOfPages(m.group(1))
                        ? Matcher.quoteReplacement(m.group())
                        : Matcher.quoteReplacement(between + m.group(1) + attributes(m.group(2)) + between));
    }

    private static boolean isOfPages(String name) {
        return OF_PAGES.contains(name.toLowerCase(Locale.ROOT));
    }

    /** Those of an element as names and values. */
    private static String attributes(String with) {
        StringBuilder said = new StringBuilder();
        if (with != null) {
            Matcher m = ATTRIBUTE.matcher(with);
            while (m.find()) {
                said.append(", ").append(m.group(1)).append('=').append(m.group(2));
            }
        }
        return said.toString();
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
}
