package syntoma.core.tabletext;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import syntoma.core.reading.Figure;

/**
 * Columns that hold several figures in one cell, with a stroke between them: “Down/Up (Mbps)” over “30/6”. Each is taken apart into
 * one column for each figure.
 */
public final class JoinedCells {
    private static final Pattern UNIT = Pattern.compile("\\s*([(\\[][^)\\]]*[)\\]])\\s*$");

    /** The headings of each column of the table; one where it holds one. */
    private final List<List<String>> parts;

    private JoinedCells(List<List<String>> parts) {
        this.parts = parts;
    }

    /** Looks at headings. */
    public static JoinedCells of(List<String> headings) {
        return new JoinedCells(headings.stream().map(JoinedCells::parts).toList());
    }

    private static List<String> parts(String heading) {
        if (heading.length() > Heading.LONGEST_JUDGED) {
            return List.of(heading);
        }
        List<String> inside = inside(heading);
        return inside.isEmpty() ? unitsBeside(heading) : inside;
    }

    /** Those that stand in brackets, the last with the unit of all: “Speed (down/up Mbps)”. */
    private static List<String> inside(String heading) {
        Matcher brackets = UNIT.matcher(heading);
        if (!brackets.find() || brackets.group(1).indexOf('/') < 0) {
            return List.of();
        }
        String said = brackets.group(1).replaceAll("^[(\\[]|[)\\]]$", "").strip();
        int last = Math.max(said.lastIndexOf(' '), said.lastIndexOf(','));
        boolean united = last > 0 && Quantity.of(said.substring(last + 1)).isPresent();
        String names = united ? said.substring(0, last) : said;
        List<String> parts =
                unitsBeside(names + (united ? " (" + said.substring(last + 1).strip() + ")" : ""));
        return parts.size() > 1 ? parts : List.of();
    }

    private static List<String> unitsBeside(String heading) {
        Matcher unit = UNIT.matcher(heading);
        String behind = unit.find() ? " " + unit.group(1) : "";
        String[] names = (behind.isEmpty() ? heading : heading.substring(0, unit.start())).split("/");
        List<Heading> read = Arrays.stream(names).map(Heading::of).toList();
        List<Optional<Figure>> figures = read.stream().map(Heading::figure).toList();
        boolean several = names.length > 1
                && figures.stream()
                        .allMatch(figure -> figure.filter(Figure::isNumber).isPresent())
                && figures.stream().distinct().count() == figures.size();
        if (!several) {
            return List.of(heading);
        }
        // what stands before the first holds for all: Dome DL/UL
        String before = read.stream().skip(1).allMatch(h -> h.remainder().isEmpty())
                ? read.get(0).remainder()
                : "";
        List<String> parts = new ArrayList<>(List.of(names[0].strip() + behind));
        Arrays.stream(names)
                .skip(1)
                .map(name -> (before + " " + name.strip()).strip() + behind)
                .forEach(parts::add);
        return List.copyOf(parts);
    }

    /** The headings, taken apart. */
    public List<String> headings() {
        return parts.stream().flatMap(List::stream).toList();
    }

    /** The cells of a row, taken apart; of a cell that holds one thing, such as “failed”, it is under the first figure. */
    public List<String> cells(List<String> row) {
        List<String> cells = new ArrayList<>();
        for (int i = 0; i < row.size(); i++) {
            int wanted = parts.get(i).size();
            String cell = row.get(i);
            String[] found = wanted == 1 || NumberText.isMissing(cell) ? new String[] {cell} : cell.split("/", -1);
            // more than there are figures is none of them, and is refused as it stands
            boolean fits = found.length <= wanted;
            for (int part = 0; part < wanted; part++) {
                boolean there = fits ? part < found.length : part == 0;
                cells.add(there ? fits ? found[part].strip() : cell : "");
            }
        }
        return cells;
    }
}
