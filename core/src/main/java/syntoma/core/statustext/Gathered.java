package syntoma.core.statustext;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import syntoma.core.reply.CellField;
import syntoma.core.reply.Role;

/** What is read so far of a cell. */
final class Gathered {
    private static final int CELLS_OF_A_BASE = 256;
    private static final Pattern OWN_NUMBER = Pattern.compile("[0-9]{1,3}");

    final Role role;
    final Map<CellField, Figures.Taken> texts = new EnumMap<>(CellField.class);

    /** The number of its base station, where that is said apart. */
    Optional<Long> base = Optional.empty();

    Gathered(Role role) {
        this.role = role;
    }

    /** The number of a base station and of its cell together are the identity; a cell’s own number alone is none. */
    void identify() {
        Figures.Taken id = texts.get(CellField.CELL_ID);
        if (base.isEmpty() || id == null || !OWN_NUMBER.matcher(id.text()).matches()) {
            return;
        }
        long whole = base.get() * CELLS_OF_A_BASE + Long.parseLong(id.text());
        texts.put(CellField.CELL_ID, new Figures.Taken(Long.toString(whole), id.line()));
    }
}
