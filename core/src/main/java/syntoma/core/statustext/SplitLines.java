package syntoma.core.statustext;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Names and values that stand in lines of their own, as they do where a page shows them in boxes: put together as “name: value”. A value
 * stands below its name, or above it where the page begins with values; several names in a row are followed by as many values. What does
 * not come out even is left as it is. The figures of cells are put together where cells are read.
 */
final class SplitLines {
    private static final String NUMBER = "[0-9]{1,6}(?:[.,][0-9]{1,3})?";
    private static final String UNIT = "(?:" + SpeedLines.UNIT + "|(?i:ms|msec))";

    private static final Pattern NAME = Pattern.compile("(?iu)^(?:the )?(?:"
            + "(?:" + SpeedLines.DOWN + "|" + SpeedLines.UP
            + ")(?:[- ]?(?:speed|rate|geschwindigkeit|hastighet|snelheid|débit|velocidad|velocità))?"
            + "|(?:vitesse|débit|velocidad de|velocità di) (?:" + SpeedLines.DOWN + "|" + SpeedLines.UP + ")"
            + "|" + SpeedLines.LATENCY_NAME
            + ")\\s?:?(?-i)(?:\\s?[(\\[]?\\s?(?<unit>" + UNIT + ")\\s?[)\\]]?)?\\s?:?$");
    private static final Pattern VALUE =
            Pattern.compile("^(?<n>" + NUMBER + ")\\s?(?<unit>" + UNIT + ")?(?<aside>\\s*\\([^()]{0,60}\\))?$");
    private static final Pattern ONLY_UNIT = Pattern.compile("^" + UNIT + "$");

    /** Names that say what the line below them is, whatever it says. */
    private static final Pattern NETWORK = Pattern.compile(
            "(?iu)^(?:(?:network |mobile |current |serving )?(?:operator|carrier|provider)(?: name)?|network name|isp|plmn"
                    + "|(?:netz|mobilfunk)?(?:betreiber|anbieter)|opérateur|fournisseur|operador|proveedor|operatore|operatör|operaattori"
                    + "|aanbieder)\\s?:?$");

    private static final Pattern MODE = Pattern.compile(
            "(?iu)^(?:(?:network|connection|service|system) (?:type|mode)|mode|(?:radio |access )?technology|netz(?:typ|modus|art)|verbindung(?:sart)?"
                    + "|technologie|type de (?:réseau|connexion)|tipo de (?:red|conexión)|tecnología|teknik|verkkotyyppi)\\s?:?$");
    private static final Pattern TECHNOLOGY = Pattern.compile(
            "(?iu)^(?:4g|5g|3g|2g|lte|nr|umts|gsm|hspa|wcdma|edge|gprs)(?![\\p{L}\\p{N}])[\\p{L}\\p{N} +()/-]{0,30}$");
    /** Names that may as well be headings: they name a network where name and value go on by turns. */
    private static final Pattern PERHAPS_NETWORK = Pattern.compile(
            "(?iu)^(?:(?:mobile |cellular )?network|netz|netzwerk|netwerk|réseau|red|rete|nät|verkko)\\s?:?$");

    private static final Pattern HEADING = Pattern.compile(
            "(?iu)(?:overview|details?|settings?|info(?:rmation)?|summary|general|home|signal|wan|lan|cellular|mobile|internet|device|router"
                    + "|modem|statistics|usage|sim|übersicht|einstellungen|aperçu|détails|resumen|översikt|yleiskatsaus|overzicht)");

    private static final Pattern WITH_TECHNOLOGY = Pattern.compile("(?iu).{2,30}\\s(?:lte|4g|5g|nr|umts|3g)");
    private static final Pattern BANDS = Pattern.compile(
            "(?iu)^(?:(?:active |frequency |serving )?bands?|frequenzband|frekvensband|bande|banda|taajuusalue|ca|carrier aggregation)\\s?:?$");
    private static final Pattern OF_LEG = Pattern.compile(
            "(?iu)^(?:.{0,24}[ (])?(?:" + Unfolding.NAME + ")\\)?\\s?(?:[(\\[]?(?:lte|4g|5g|nr)[)\\]]?)?\\s?:?$");
    private static final Pattern FIGURE = Pattern.compile("^[Bbn+-]?[0-9][^:=]{0,50}$");
    private static final Pattern SEVERAL = Pattern.compile("^[Bn]?[0-9]{1,3}\\b.{0,30}\\+\\s?[Bn]?[0-9]{1,3}.{0,60}$");
    private static final Pattern SHARE = Pattern.compile("^(?:[0-9]{1,3}\\s?%|[0-9]\\s?(?:of|/)\\s?[0-9](?: bars?)?)$");
    private static final Pattern STRENGTH =
            Pattern.compile("(?iu)^signal(?:stärke| ?strength| ?quality| ?level)?\\s?:?$");
    private static final Pattern BASE = Pattern.compile("(?iu)^e-?n(?:ode)?b(?:[ _-]?id)?\\s?:?$");
    private static final Pattern DIGITS = Pattern.compile("^[0-9]{1,7}$");
    private static final Pattern A_NAME_OF_A_NETWORK = Pattern.compile("^[\\p{L}][^:=|\\t\"<>{}]{1,38}$");

    /** Longer than that is no name alone, and no value. */
    private static final int LONGEST = 60;

    /** Blank lines may stand between. */
    private static final int FURTHEST = 5;

    private SplitLines() {}

    private enum Kind {
        NAME,
        VALUE,
        OTHER
    }

    private record Part(Kind kind, Lines.Line line, String value) {}

    /** The lines, with those put together that belong together. */
    static List<Lines.Line> join(List<Lines.Line> lines) {
        List<Part> parts = rates(joinNames(lines));
        List<Lines.Line> out = new ArrayList<>();
        for (int i = 0; i < parts.size(); ) {
            int end = i;
            while (end < parts.size() && parts.get(end).kind != Kind.OTHER) {
                end++;
            }
            out.addAll(paired(parts.subList(i, end)));
            if (end < parts.size()) {
                out.add(parts.get(end).line);
            }
            i = end + 1;
        }
        return out;
    }

    /** Names whose value can be any text, with the line below them. */
    private static List<Lines.Line> joinNames(List<Lines.Line> lines) {
        List<Lines.Line> out = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            Lines.Line line = lines.get(i);
            boolean pair = i + 1 < lines.size()
                    && isWords(line.text())
                    && lines.get(i + 1).number() - line.number() <= FURTHEST
                    && (doBelong(line.text(), lines.get(i + 1).text()) || isNetwork(lines, i));
            out.add(pair ? pair(line, lines.get(i + 1)) : line);
            i += pair ? 1 : 0;
        }
        return out;
    }

    private static boolean doBelong(String name, String value) {
        return NETWORK.matcher(name).matches()
                        && A_NAME_OF_A_NETWORK.matcher(value).matches()
                        && Names.network(value).isPresent()
                || MODE.matcher(name).matches() && TECHNOLOGY.matcher(value).matches()
                || STRENGTH.matcher(name).matches() && SHARE.matcher(value).matches()
                || OF_LEG.matcher(name).matches() && FIGURE.matcher(value).matches()
                || BANDS.matcher(name).matches() && SEVERAL.matcher(value).matches()
                || BASE.matcher(name).matches() && DIGITS.matcher(value).matches();
    }

    private static boolean isNetwork(List<Lines.Line> lines, int at) {
        String value = lines.get(at + 1).text();
        return PERHAPS_NETWORK.matcher(lines.get(at).text()).matches()
                && A_NAME_OF_A_NETWORK.matcher(value).matches()
                && Names.network(value).isPresent()
                && !HEADING.matcher(value).matches()
                && (WITH_TECHNOLOGY.matcher(value).matches() || areInTurns(lines, at + 2));
    }

    /** Whether a name without a value is there, and a value below it. */
    private static boolean areInTurns(List<Lines.Line> lines, int at) {
        if (at + 1 >= lines.size() || lines.get(at).text().matches(".*[0-9:=].*")) {
            return false;
        }
        String value = lines.get(at + 1).text();
        return value.matches(".{0,30}[0-9].{0,30}") || TECHNOLOGY.matcher(value).matches();
    }

    /** Which lines are a name of a rate or a latency, and which a value of one; a unit below its number belongs to it. */
    private static List<Part> rates(List<Lines.Line> lines) {
        List<Part> parts = new ArrayList<>();
        Optional<String> unit = Optional.empty();
        for (int i = 0; i < lines.size(); i++) {
            Lines.Line line = lines.get(i);
            Matcher value = VALUE.matcher(line.text());
            Matcher name = NAME.matcher(line.text());
            if (isWords(line.text()) && name.matches()) {
                unit = Optional.ofNullable(name.group("unit"));
                parts.add(new Part(Kind.NAME, line, bare(line.text(), unit)));
                continue;
            }
            boolean below = i + 1 < lines.size()
                    && ONLY_UNIT.matcher(lines.get(i + 1).text()).matches();
            if (!isNumber(line.text()) || !value.matches() || i > 0 && isOfElse(lines.get(i - 1), line)) {
                parts.add(new Part(Kind.OTHER, line, ""));
            } else if (value.group("unit") != null) {
                parts.add(new Part(Kind.VALUE, line, line.text()));
            } else if (below) {
                parts.add(new Part(
                        Kind.VALUE, line, line.text() + " " + lines.get(++i).text()));
            } else if (unit.isPresent() && parts.get(parts.size() - 1).kind == Kind.NAME) {
                parts.add(new Part(Kind.VALUE, line, line.text() + " " + unit.get()));
            } else {
                parts.add(new Part(Kind.OTHER, line, ""));
            }
            unit = Optional.empty();
        }
        return parts;
    }

    /** Whether a value is of what the line above it names, or too far below it. */
    private static boolean isOfElse(Lines.Line above, Lines.Line value) {
        return value.number() - above.number() > FURTHEST || SpeedLines.isOfElse(above.text());
    }

    private static boolean isNumber(String text) {
        return text.length() <= LONGEST && Character.isDigit(text.charAt(0));
    }

    private static boolean isWords(String text) {
        return text.length() <= LONGEST && text.chars().noneMatch(c -> c >= '0' && c <= '9');
    }

    /** A name without its unit and its colon. */
    private static String bare(String name, Optional<String> unit) {
        String text = unit.isEmpty()
                ? name
                : name.substring(0, name.lastIndexOf(unit.get())).replaceFirst("[(\\[ ]+$", "");
        return text.replaceFirst("\\s*:$", "").strip();
    }

    private static List<Lines.Line> paired(List<Part> run) {
        boolean valueFirst = !run.isEmpty() && run.get(0).kind == Kind.VALUE;
        if (valueFirst && !(run.size() % 2 == 0 && doAlternate(run))) {
            // the first may be of something else, or each may be above its name
            return run.stream().map(Part::line).toList();
        }
        List<Lines.Line> out = new ArrayList<>();
        int from = 0;
        while (from < run.size()) {
            int mid = from;
            while (mid < run.size() && run.get(mid).kind == run.get(from).kind) {
                mid++;
            }
            int end = mid;
            while (end < run.size() && run.get(end).kind != run.get(from).kind) {
                end++;
            }
            boolean even = mid - from == end - mid;
            for (int i = from; i < (even ? mid : end); i++) {
                Part one = run.get(i);
                out.add(even ? joinParts(one, run.get(i + mid - from)) : one.line);
            }
            from = end;
        }
        return out;
    }

    private static boolean doAlternate(List<Part> run) {
        for (int i = 1; i < run.size(); i++) {
            if (run.get(i).kind == run.get(i - 1).kind) {
                return false;
            }
        }
        return true;
    }

    private static Lines.Line joinParts(Part one, Part other) {
        Part name = one.kind == Kind.NAME ? one : other;
        Part value = one.kind == Kind.NAME ? other : one;
        return line(value.line.number(), name.value + ": " + value.value);
    }

    private static Lines.Line pair(Lines.Line name, Lines.Line value) {
        return line(value.number(), name.text().replaceFirst("\\s*:$", "") + ": " + value.text());
    }

    private static Lines.Line line(int number, String text) {
        return new Lines.Line(number, text, text.toLowerCase(Locale.ROOT));
    }
}
