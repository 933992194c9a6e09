package syntoma.core.statustext;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import syntoma.core.reply.CellField;
import syntoma.core.reply.Role;

/** What is read so far of a cell. */
final class FigureCollector {
    private static final int CELLS_OF_A_BASE = 256;
    /** Every line that gives the number of a base station, or of one of its cells, has one of these. */
    static final Stems OF_IDENTITY = Stems.of("enb", "e-nb", "enodeb", "e-node", "sector", "lcid", "local cell");

    private static final Pattern BASE =
            Pattern.compile("(?iu)(?<!\\p{L})e-?n(?:ode)?b(?:[ _-]?id)?\\s*[:=|]?\\s*(?<n>[0-9]{1,7})(?![0-9])");
    private static final Pattern SECTOR = Pattern.compile(
            "(?iu)(?<!\\p{L})(?:sector|lcid|local cell(?:[ _-]?id)?)\\s*[:=|#]?\\s*(?<n>[0-9]{1,3})(?![0-9])");

    private static final int NO_LINE = 0;
    private static final Pattern OWN_NUMBER = Pattern.compile("[0-9]{1,3}");

    final Role role;
    final Map<CellField, Figures.FigureText> texts = new EnumMap<>(CellField.class);

    /** The number of its base station, where that is said apart. */
    private Optional<Long> base = Optional.empty();

    /** Its own number there, where that is said apart. */
    private Optional<Long> sector = Optional.empty();

    FigureCollector(Role role) {
        this.role = role;
    }

    /** Takes the numbers that a line gives for its base station and for the cell in it. */
    void identity(String text) {
        base = number(BASE, text).or(() -> base);
        sector = number(SECTOR, text).or(() -> sector);
    }

    private static Optional<Long> number(Pattern pattern, String text) {
        Matcher m = pattern.matcher(text);
        return m.find() ? Optional.of(Long.parseLong(m.group("n"))) : Optional.empty();
    }

    /** The number of a base station and of its cell together are the identity; a cell’s own number alone is none. */
    void identify() {
        Figures.FigureText id = texts.get(CellField.CELL_ID);
        if (id == null && sector.isPresent()) {
            id = new Figures.FigureText(Long.toString(sector.get()), NO_LINE);
        }
        if (base.isEmpty() || id == null || !OWN_NUMBER.matcher(id.text()).matches()) {
            return;
        }
        long whole = base.get() * CELLS_OF_A_BASE + Long.parseLong(id.text());
        texts.put(CellField.CELL_ID, new Figures.FigureText(Long.toString(whole), id.line()));
    }
}
