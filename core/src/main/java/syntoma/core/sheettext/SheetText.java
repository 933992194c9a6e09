package syntoma.core.sheettext;

import java.util.ArrayList;
import java.util.List;
import syntoma.core.unit.Text;

/** Reads a pasted data sheet. */
public final class SheetText {
    /** Longer texts are refused. */
    public static final int LONGEST = 200_000;

    /** What a sheet is of. */
    public enum Kind {
        DEVICE,
        ANTENNA,
        CABLE,
        ADAPTER,
        BOOSTER,
        MOUNT,
        SIM;

        /**
         * The one of a label.
         *
         * @throws IllegalArgumentException naming the text and the labels there are
         */
        public static Kind fromLabel(String text) {
            for (Kind kind : values()) {
                if (kind.name().equalsIgnoreCase(text.strip())) {
                    return kind;
                }
            }
            throw new IllegalArgumentException("kind is " + Text.quote(text)
                    + "; allowed is device, antenna, cable, adapter, booster, mount, SIM");
        }
    }

    private SheetText() {}

    /**
     * What a text states of a piece of gear, each field once, in the order of the readers.
     *
     * @throws IllegalArgumentException when the text is empty or too long
     */
    public static List<FoundField> read(Kind kind, String text) {
        if (text.isBlank()) {
            throw new IllegalArgumentException("text is empty; paste the words of a data sheet");
        }
        if (text.length() > LONGEST) {
            throw new IllegalArgumentException(
                    "text has " + text.length() + " characters; allowed are up to " + LONGEST);
        }
        List<Line> lines = Line.of(text);
        if (lines.isEmpty()) {
            throw new IllegalArgumentException("text holds no word; paste the words of a data sheet");
        }
        List<FoundField> found = new ArrayList<>();
        name(lines, found);
        Prices.read(lines, kind, found);
        switch (kind) {
            case DEVICE -> {
                BandLists.read(lines, found);
                DeviceFigures.read(lines, found);
                Sockets.ports(lines, found);
                Supplies.read(lines, found);
            }
            case ANTENNA -> {
                GainRanges.read(lines, found);
                AntennaFigures.read(lines, found);
                Leads.read(lines, found);
            }
            case BOOSTER -> {
                BoosterFigures.read(lines, found);
                Supplies.read(lines, found);
            }
            case CABLE -> Sockets.cable(lines, found);
            case ADAPTER -> Sockets.adapter(lines, found);
            case MOUNT -> AntennaFigures.mount(lines, found);
            case SIM -> SimFigures.read(lines, found);
        }
        return FoundField.merge(found);
    }

    /** The first line is the name where it is short enough for one and no row of a table. */
    private static void name(List<Line> lines, List<FoundField> found) {
        Line first = lines.get(0);
        boolean like = first.text().length() <= 80 && first.text().indexOf(':') < 0;
        if (like) {
            found.add(FoundField.unsure("name", first.text(), first, first.text(), "Is this its name?"));
        }
    }
}
