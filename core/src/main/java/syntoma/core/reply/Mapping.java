package syntoma.core.reply;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import syntoma.core.unit.Text;

/**
 * Which value of an answer is which figure: keys are {@code mode}, {@code carrier} and {@code <role>.<field>}, values JSON
 * pointers into the answer; where it has a list of cells, {@code cells} points at it and {@code cells[].<field>} and {@code
 * cells[].role} into each of its elements.
 */
public record Mapping(Map<String, String> pointers) {
    private static final Pattern KEY = Pattern.compile("(primary|secondary|nr|neighbour|cells\\[])\\.([A-Za-z]+)");
    private static final Pattern POINTER = Pattern.compile("(/([^~/]|~[01])*)*");
    private static final int LONGEST_POINTER = 400;
    private static final int MOST_KEYS = 80;
    private static final int MOST_CELLS = 32;
    private static final String LIST = "cells";
    private static final String ELEMENT = "cells[]";
    private static final String ROLE = "role";

    /**
     * A mapping.
     *
     * @throws IllegalArgumentException naming the key or the pointer that is none
     */
    public Mapping {
        if (pointers.size() > MOST_KEYS) {
            throw new IllegalArgumentException(
                    "mapping has " + pointers.size() + " keys; allowed are at most " + MOST_KEYS);
        }
        pointers.forEach((key, pointer) -> {
            if (!isKey(key)) {
                throw new IllegalArgumentException("mapping has the key " + Text.quote(key)
                        + "; allowed are mode, carrier, cells, cells[].role and <role>.<field>");
            }
            if (pointer.length() > LONGEST_POINTER || !POINTER.matcher(pointer).matches()) {
                throw new IllegalArgumentException("mapping of " + key + " is " + Text.quote(pointer)
                        + "; allowed is a JSON pointer such as /lte/rsrp");
            }
        });
        pointers = Map.copyOf(pointers);
    }

    private static boolean isKey(String key) {
        if (key.equals("mode") || key.equals("carrier") || key.equals(LIST)) {
            return true;
        }
        Matcher m = KEY.matcher(key);
        return m.matches()
                && (CellField.of(m.group(2)).isPresent()
                        || m.group(1).equals(ELEMENT) && m.group(2).equals(ROLE));
    }

    /** Whether nothing is mapped. */
    public boolean isEmpty() {
        return pointers.isEmpty();
    }

    /** The keys in their order, for those who show them. */
    public Map<String, String> sorted() {
        return new TreeMap<>(pointers);
    }

    /** Reads an answer. */
    public RouterReading read(Node answer) {
        List<String> problems = new ArrayList<>();
        List<Cell> cells = new ArrayList<>();
        boolean alone = isNrAlone(answer);
        for (Role role : Role.values()) {
            Map<CellField, String> texts = texts(answer, role.label());
            add(cells, problems, role, alone && role == Role.PRIMARY, texts);
        }
        list(answer, alone, cells, problems);
        cells.sort((a, b) -> a.role().compareTo(b.role()));
        Optional<String> mode = Modes.mode(text(answer, "mode"), cells);
        Optional<String> carrier = text(answer, "carrier").filter(name -> name.length() <= 120);
        return new RouterReading(mode, carrier, mode.equals(Optional.of(Modes.NONE)) ? List.of() : cells, problems);
    }

    private boolean isNrAlone(Node answer) {
        return Modes.mode(text(answer, "mode"), List.of()).equals(Optional.of("NR-SA"));
    }

    private void list(Node answer, boolean alone, List<Cell> cells, List<String> problems) {
        String at = pointers.get(LIST);
        if (at == null || !(answer.at(at).orElse(null) instanceof Node.Series series)) {
            return;
        }
        for (Node element :
                series.parts().subList(0, Math.min(MOST_CELLS, series.parts().size()))) {
            boolean first = cells.stream().noneMatch(c -> c.role() == Role.PRIMARY);
            Optional<Role> named = text(element, ELEMENT + "." + ROLE).flatMap(Role::ofWord);
            Map<CellField, String> texts = texts(element, ELEMENT);
            Role role = named.orElse(first ? Role.PRIMARY : Role.SECONDARY);
            boolean nr = texts.getOrDefault(CellField.RAT, "").matches("(?i).*(nr|5g).*");
            if (named.isEmpty() && !first && nr) {
                role = Role.NR;
            } else if (role == Role.NR && first && series.parts().size() == 1) {
                role = Role.PRIMARY;
            }
            add(cells, problems, role, nr || alone || named.equals(Optional.of(Role.NR)), texts);
        }
    }

    private static void add(
            List<Cell> cells, List<String> problems, Role role, boolean nr, Map<CellField, String> texts) {
        if (texts.isEmpty()) {
            return;
        }
        CellValues values = new CellValues(role.label(), texts);
        Cell cell = values.read(role, nr);
        problems.addAll(values.problems());
        if (cell.isThere()) {
            cells.add(cell);
        }
    }

    private Map<CellField, String> texts(Node from, String group) {
        Map<CellField, String> texts = new EnumMap<>(CellField.class);
        for (CellField field : CellField.values()) {
            text(from, group + "." + field.field()).ifPresent(text -> texts.put(field, text));
        }
        return texts;
    }

    private Optional<String> text(Node from, String key) {
        return Optional.ofNullable(pointers.get(key)).flatMap(from::text);
    }
}
