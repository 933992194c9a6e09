package syntoma.core.reply;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads the texts of one cell, wherever they come from, by the same rules as a router’s answer. */
public final class CellTexts {
    private CellTexts() {}

    /**
     * A cell as it was read.
     *
     * @param impossible what of it cannot be, by figure
     */
    public record CellReading(Cell cell, Map<CellField, String> impossible) {}

    /**
     * Reads them.
     *
     * @param nr whether it is an NR cell, where its own texts do not say
     */
    public static CellReading read(Role role, boolean nr, Map<CellField, String> texts) {
        CellValues values = new CellValues(role.label(), texts);
        Cell cell = values.read(role, nr);
        Map<CellField, String> impossible = new EnumMap<>(CellField.class);
        for (String problem : values.problems()) {
            texts.keySet().stream()
                    .filter(field -> !problem.contains("means “not available”") && isOf(problem, field))
                    .findFirst()
                    .ifPresent(field -> impossible.put(field, problem));
        }
        return new CellReading(cell, impossible);
    }

    private static boolean isOf(String problem, CellField field) {
        return problem.contains(field.field()) || problem.contains(field.label());
    }

    /** The mode that a text and the cells beside it name. */
    public static Optional<String> mode(Optional<String> text, List<Cell> cells) {
        return Modes.mode(text, cells);
    }

    /** Whether a text names a technology, or that there is none. */
    public static boolean isMode(String text) {
        return Modes.rat(text).isPresent()
                || Modes.mode(Optional.of(text), List.of())
                        .filter(Modes.NONE::equals)
                        .isPresent();
    }
}
