package syntoma.core.statustext;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Pattern;
import syntoma.core.reply.CellField;
import syntoma.core.statustext.Names.NamedField;

/**
 * The columns of a table, as its first line names them.
 *
 * @param fields of each column the figure, where it is one
 * @param role the column that says which cell a row is of
 * @param network the column of the network’s name
 */
record Columns(List<Optional<CellField>> fields, OptionalInt role, OptionalInt network) {
    /** Fewer names are no table. */
    static final int FEWEST = 2;

    private static final Pattern GAPS = Pattern.compile("\\s*[|;]\\s*|\\t+| {2,}");
    private static final Pattern EDGES = Pattern.compile("^\\s*\\||\\|\\s*$");
    private static final Pattern COMMAS = Pattern.compile("\\s*,\\s*");

    /** Those that a line names; empty where it names too few. */
    static Optional<Columns> of(String text) {
        List<Optional<CellField>> fields = new ArrayList<>();
        OptionalInt role = OptionalInt.empty();
        OptionalInt network = OptionalInt.empty();
        String[] parts = parted(text);
        for (int i = 0; i < parts.length; i++) {
            List<NamedField> names = Names.in(parts[i]);
            if (Names.isNetworkColumn(parts[i])) {
                network = OptionalInt.of(i);
            } else if (names.isEmpty() && role.isEmpty()) {
                role = OptionalInt.of(i);
            }
            fields.add(names.size() == 1 ? Optional.of(names.get(0).field()) : Optional.empty());
        }
        return fields.stream().filter(Optional::isPresent).count() >= FEWEST
                ? Optional.of(new Columns(List.copyOf(fields), role, network))
                : Optional.empty();
    }

    /** The cells of a line, where it has as many as there are columns. */
    Optional<String[]> row(String text) {
        return Optional.of(parted(text)).filter(parts -> parts.length == fields.size());
    }

    private static String[] parted(String text) {
        String[] parts = split(text);
        return parts.length >= FEWEST ? parts : COMMAS.split(text);
    }

    /** What stands apart by strokes, semicolons, tabs or gaps; the whole where nothing does. */
    static String[] split(String text) {
        boolean any =
                text.indexOf('|') >= 0 || text.indexOf(';') >= 0 || text.indexOf('\t') >= 0 || text.contains("  ");
        return any ? GAPS.split(EDGES.matcher(text).replaceAll("").strip()) : new String[] {text};
    }
}
