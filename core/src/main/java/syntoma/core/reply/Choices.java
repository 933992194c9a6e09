package syntoma.core.reply;

import java.util.ArrayList;
import java.util.List;
import syntoma.core.unit.Text;

/**
 * What somebody who corrects a mapping has to choose among: the figures that can stand somewhere in an answer, and where.
 *
 * @param figures in the order in which they are asked for
 * @param values all of the answer
 * @param elements those of the first cell, where the answer has a list of them; their pointers begin there
 * @param lists of the answer that could be one of cells
 */
public record Choices(List<Figure> figures, List<Place> values, List<Place> elements, List<Place> lists) {
    private static final int MOST_PLACES = 400;

    /** What a figure is chosen among. */
    public enum Among {
        VALUES,
        ELEMENTS,
        LISTS
    }

    /** A figure by the key of a mapping, as a person knows it. */
    public record Figure(String key, String label, Among among) {}

    /** A place in the answer, and its value. */
    public record Place(String pointer, String text) {}

    /** For an answer that is read by a mapping. */
    public static Choices of(Node answer, Mapping mapping) {
        List<Place> values = new ArrayList<>();
        List<Place> lists = new ArrayList<>();
        walk(answer, "", values, lists);
        List<Place> elements = new ArrayList<>();
        String at = mapping.pointers().get("cells");
        if (at != null
                && answer.at(at).orElse(null) instanceof Node.Series series
                && !series.parts().isEmpty()) {
            walk(series.parts().get(0), "", elements, new ArrayList<>());
        }
        return new Choices(figures(at != null), values, elements, lists);
    }

    private static List<Figure> figures(boolean listed) {
        List<Figure> figures = new ArrayList<>();
        figures.add(new Figure("carrier", "Carrier", Among.VALUES));
        figures.add(new Figure("mode", "Mode", Among.VALUES));
        figures.add(new Figure("cells", "List of cells", Among.LISTS));
        if (listed) {
            figures.add(new Figure("cells[].role", "Each cell’s role", Among.ELEMENTS));
            add(figures, "cells[]", "Each cell’s ", Among.ELEMENTS);
        } else {
            add(figures, Role.PRIMARY.label(), "", Among.VALUES);
            add(figures, Role.NR.label(), "NR cell’s ", Among.VALUES);
        }
        return figures;
    }

    private static void add(List<Figure> figures, String group, String whose, Among among) {
        for (CellField field : CellField.values()) {
            figures.add(new Figure(group + "." + field.field(), whose + field.label(), among));
        }
    }

    private static void walk(Node node, String pointer, List<Place> values, List<Place> lists) {
        if (node instanceof Node.Value value && values.size() < MOST_PLACES) {
            values.add(new Place(pointer, Text.shortened(value.text())));
        } else if (node instanceof Node.Group group) {
            group.parts().forEach((name, part) -> walk(part, pointer + "/" + Node.escaped(name), values, lists));
        } else if (node instanceof Node.Series series) {
            if (lists.size() < MOST_PLACES && series.parts().stream().anyMatch(Node.Group.class::isInstance)) {
                lists.add(new Place(pointer, series.parts().size() + " in it"));
            }
            for (int i = 0; i < series.parts().size(); i++) {
                walk(series.parts().get(i), pointer + "/" + i, values, lists);
            }
        }
    }
}
