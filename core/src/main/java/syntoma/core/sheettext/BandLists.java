package syntoma.core.sheettext;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import syntoma.core.band.Band.Technology;
import syntoma.core.band.Bands;

/**
 * Lists of operating bands: LTE B1/B3/B7, 4G bands 1, 3 and 7, n77/78. Bands of older networks, of lists that name only some
 * (MIMO, aggregation) and of Wi-Fi are passed over.
 */
final class BandLists {
    private BandLists() {}

    /** What a bare number would be. */
    private enum Mode {
        NONE,
        LTE,
        NR,
        OLDER
    }

    /** A list in a line, and the variant of the device that the line says it is of. */
    private record BandListing(Line line, Set<String> bands, String words, String variant) {}

    private static final String[] VARIANTS = {
        "europe",
        "emea",
        "north america",
        "americas",
        "usa",
        "asia",
        "apac",
        "australia",
        "japan",
        "global",
        "worldwide",
        " eu ",
        " us ",
        " na "
    };

    static void read(List<Line> lines, List<FoundField> found) {
        List<BandListing> lists = new ArrayList<>();
        List<BandListing> unnamed = new ArrayList<>();
        boolean lteAlone = lines.stream().anyMatch(l -> mode(l) == Mode.LTE)
                && lines.stream().noneMatch(l -> l.says("5g") || l.has("nr"));
        Mode heading = Mode.NONE;
        for (Line line : lines) {
            if (line.isOfWifi()) {
                continue;
            }
            BandListing list = list(line, heading);
            if (list.bands().isEmpty() && lteAlone && line.says("bands")) {
                BandListing bare = list(line, Mode.LTE);
                if (!bare.bands().isEmpty()) {
                    unnamed.add(bare);
                }
            }
            if (!list.bands().isEmpty()) {
                lists.add(list);
                heading = Mode.NONE;
            } else {
                heading = line.text().length() < 40 && line.says("band") ? mode(line) : Mode.NONE;
            }
        }
        if (lists.isEmpty()) {
            unnamed.stream()
                    .findFirst()
                    .ifPresent(l -> found.add(FoundField.unsure(
                            "bands", List.copyOf(l.bands()), l.line(), l.words(), "Are these LTE bands?")));
            return;
        }
        Set<String> variants = new LinkedHashSet<>();
        Set<String> all = new LinkedHashSet<>();
        for (BandListing list : lists) {
            all.addAll(list.bands());
            variants.add(list.variant());
        }
        Line first = lists.get(0).line();
        String words = lists.get(0).words() + (lists.size() > 1 ? " …" : "");
        if (variants.size() < 2) {
            found.add(FoundField.isSure("bands", List.copyOf(all), first, words));
            return;
        }
        List<Object> others = lists.stream()
                .map(l -> (Object) List.copyOf(l.bands()))
                .distinct()
                .toList();
        found.add(new FoundField(
                "bands",
                others.get(0),
                words,
                first.number(),
                "The text has bands of more than one variant. Which is yours?",
                others.subList(1, others.size())));
    }

    private static Mode mode(Line line) {
        Mode mode = Mode.NONE;
        for (int i = 0; i < line.tokens().size(); i++) {
            mode = next(line, i, mode);
        }
        return mode;
    }

    /** The technology as a token leaves it. */
    private static Mode next(Line line, int i, Mode mode) {
        Token token = line.at(i);
        if (token.is("lte", "fdd", "tdd", "utra")
                || token.is("g") && line.at(i - 1).is("4")) {
            return token.is("fdd", "tdd") && mode == Mode.NR ? Mode.NR : Mode.LTE;
        }
        if (token.is("nr", "sa", "nsa") || token.is("g") && line.at(i - 1).is("5")) {
            return Mode.NR;
        }
        boolean older = token.is("wcdma", "umts", "hspa", "gsm", "edge", "gprs", "cdma", "evdo")
                || token.is("g") && (line.at(i - 1).is("3") || line.at(i - 1).is("2"));
        return older ? Mode.OLDER : mode;
    }

    private static BandListing list(Line line, Mode heading) {
        Mode mode = heading;
        boolean listing = heading != Mode.NONE;
        Set<String> bands = new LinkedHashSet<>();
        int first = -1;
        int last = -1;
        for (int i = 0; i < line.tokens().size(); i++) {
            Token token = line.at(i);
            if (token.is("mimo", "ca", "aggregation", "endc", "lock", "locking")) {
                // behind it stand only the bands on which it is so
                break;
            }
            mode = next(line, i, mode);
            listing |= mode != Mode.NONE && begins(line, i);
            boolean adjacent = line.at(i + 1).isNumber() && line.at(i + 1).start() == token.end();
            if (token.is("b", "band", "bands", "n") && (adjacent || token.is("band", "bands"))) {
                listing = true;
                mode = token.is("n") ? Mode.NR : token.is("b") && mode != Mode.OLDER ? Mode.LTE : mode;
            } else if (token.isNumber()) {
                String band = listing ? band(token, mode) : "";
                boolean unit = line.at(i + 1).is("mhz", "ghz", "g", "x", "×", "dbi", "v", "w", "mbps", "%");
                if (!band.isEmpty() && !unit) {
                    bands.add(band);
                    first = first < 0 ? i : first;
                    last = i;
                }
            } else if (!token.is(",", "/", "&", "and", "+", "und", "-", "|", "·", "(", ")", ":", ";", "b", "n")
                    && !isTechnology(token)) {
                // another word ends the list
                listing = token.is("bands", "band");
            }
        }
        String words = bands.isEmpty() ? "" : line.words(Math.max(0, first - 1), last);
        return new BandListing(line, bands, words, variant(line));
    }

    /** Whether at least three bare numbers follow a technology: “LTE: 1/3/7/20”. */
    private static boolean begins(Line line, int i) {
        return (isTechnology(line.at(i)) || line.at(i).is(":", "|") && isTechnology(line.at(i - 1)))
                && line.at(i + 1).isNumber()
                && line.at(i + 2).is("/", ",")
                && line.at(i + 3).isNumber()
                && line.at(i + 4).is("/", ",")
                && line.at(i + 5).isNumber();
    }

    private static boolean isTechnology(Token token) {
        return token.is("lte", "fdd", "tdd", "nr", "sa", "nsa", "g", "wcdma", "umts", "gsm", "hspa");
    }

    private static String band(Token token, Mode mode) {
        if (mode == Mode.NONE || mode == Mode.OLDER || token.value() != Math.rint(token.value())) {
            return "";
        }
        String name = (mode == Mode.NR ? "n" : "B") + (int) token.value();
        Technology wanted = mode == Mode.NR ? Technology.NR : Technology.LTE;
        return Bands.all().stream().anyMatch(b -> b.name().equals(name) && b.rat() == wanted) ? name : "";
    }

    private static String variant(Line line) {
        String padded = " " + line.lower().replace('(', ' ').replace(')', ' ').replace(':', ' ') + " ";
        for (String variant : VARIANTS) {
            if (padded.contains(variant)) {
                return variant.strip();
            }
        }
        return "";
    }
}
