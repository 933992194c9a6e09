package syntoma.core.statustext;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import syntoma.core.reply.Role;
import syntoma.core.statustext.Names.Heading;

/**
 * One of several carriers that a line puts together.
 *
 * @param of the cell that it is
 * @param text its part of the line
 */
record JoinedText(Heading of, Figures.FigureText band, String text) {
    /** As in “B3 (20 MHz) + B20 (10 MHz)”. */
    private static final Pattern JOINED = Pattern.compile(
            "(?<![\\p{L}\\p{N}])[Bn]?[0-9]{1,3}\\s?(?:\\([^)+]{0,24}\\)|@?\\s?[0-9.]{1,4}\\s?(?i:MHz))?\\s?\\+\\s?[Bn]?[0-9]{1,3}(?![\\p{N}\\p{L}])");

    private static final Pattern CARRIERS = Pattern.compile(
            "(?iu)(?<!\\p{L})(?:ca|carriers?|carrier aggregation|bands?|bänder|bandes?|bandas?|träger|agrégation|active)(?!\\p{L})|(?-i)(?<!\\p{L})[Bn][0-9]{1,3}(?![\\p{N}\\p{L}])");

    /** Those of a line; none where it joins none. */
    static List<JoinedText> in(Lines.Line line) {
        List<JoinedText> found = new ArrayList<>();
        if (line.text().indexOf('+') < 0
                || !JOINED.matcher(line.text()).find()
                || !CARRIERS.matcher(line.text()).find()) {
            return found;
        }
        String[] parts = line.text().split("\\+");
        for (int i = 0; i < parts.length; i++) {
            int at = i;
            Figures.lastBand(parts[i], i == 0, line.number())
                    .ifPresent(band -> found.add(new JoinedText(cell(at, band), band, parts[at])));
        }
        return found;
    }

    private static Heading cell(int at, Figures.FigureText band) {
        if (at == 0) {
            return new Heading(Role.PRIMARY, 0);
        }
        return band.text().startsWith("n") ? new Heading(Role.NR, 0) : new Heading(Role.SECONDARY, at);
    }
}
