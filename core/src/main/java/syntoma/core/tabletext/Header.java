package syntoma.core.tabletext;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * The headings of a table: mostly its first row; but a title may be above them, and a row of units or of finer headings
 * beneath.
 *
 * @param rows how many rows it takes, with what is above it
 * @param headings one for each column
 */
public record Header(int rows, List<String> headings) {
    /** Rows among which it is looked for. Chosen: a title, who wrote it, when, and an empty row or two. */
    public static final int LOOKED_AT = 8;

    private static final Pattern FIGURE = Pattern.compile("^[^\\p{L}]*\\d");

    /** How a day, a time or a place is to be written: yyyy-mm-dd, hh:mm, deg. */
    private static final Pattern WAY_OF_WRITING =
            Pattern.compile("(?i)(?:[dmyjathsz]{1,4}[./: -]{0,2}){2,6}|text|name|deg|degrees|°|-+");

    /** A table of measurements has at least a time, a figure, and one column more. */
    private static final int LEAST_CELLS = 3;

    /**
     * Finds it among the first rows of a table.
     *
     * @param first at least one row
     */
    public static Header of(List<List<String>> first) {
        int at = 0;
        while (at < first.size() - 1 && countFilled(first.get(at)) < LEAST_CELLS) {
            at++;
        }
        if (countFilled(first.get(at)) < LEAST_CELLS || !isOfWords(first.get(at))) {
            return new Header(1, first.get(0));
        }
        List<String> headings = at > 0 && countFilled(first.get(at - 1)) > 1 && isRepeated(first.get(at))
                ? joinedFrom(first.get(at - 1), first.get(at))
                : first.get(at);
        if (at + 1 < first.size()) {
            List<String> next = first.get(at + 1);
            if (holdsUnits(next)) {
                return new Header(at + 2, join(headings, next));
            }
            if (countFilled(next) > countFilled(headings) && next.stream().noneMatch(Header::hasDigit)
                    || areKnown(next)) {
                return new Header(at + 2, joinedFrom(headings, next));
            }
        }
        return new Header(at + 1, headings);
    }

    private static long countFilled(List<String> cells) {
        return cells.stream().filter(cell -> !cell.isBlank()).count();
    }

    /** Headings are words, some with a number behind them; a row of figures is none. */
    private static boolean isOfWords(List<String> cells) {
        return 2 * cells.stream().filter(cell -> FIGURE.matcher(cell).find()).count() < countFilled(cells);
    }

    /** Names of figures under names of antennas or runs, which no row of a log holds. */
    private static boolean areKnown(List<String> cells) {
        List<String> filled = cells.stream().filter(cell -> !cell.isBlank()).toList();
        return filled.size() >= 2
                && filled.stream()
                        .map(Heading::of)
                        .allMatch(h -> h.figure().isPresent() && h.remainder().isEmpty())
                && filled.stream().noneMatch(Header::hasDigit);
    }

    private static boolean hasDigit(String cell) {
        return cell.chars().anyMatch(Character::isDigit);
    }

    private static boolean holdsUnits(List<String> cells) {
        return countFilled(cells) > 0
                && cells.stream()
                        .filter(cell -> !cell.isBlank())
                        .map(cell -> cell.strip().replaceAll("^[(\\[]|[)\\]]$", ""))
                        .allMatch(cell -> Quantity.of(cell).isPresent()
                                || WAY_OF_WRITING.matcher(cell).matches());
    }

    private static List<String> join(List<String> headings, List<String> units) {
        List<String> joined = new ArrayList<>();
        for (int i = 0; i < headings.size(); i++) {
            String unit = i < units.size() ? units.get(i).strip() : "";
            boolean bracketed = unit.startsWith("(") || unit.startsWith("[");
            String heading = headings.get(i).strip();
            joined.add(unit.isEmpty() ? heading : heading + " " + (bracketed ? unit : "(" + unit + ")"));
        }
        return List.copyOf(joined);
    }

    /**
     * The finer headings, where there are none those above them. Where the finer ones say the same over and over, the one above
     * says of what: it stands over the first of them.
     */
    private static List<String> joinedFrom(List<String> above, List<String> finer) {
        int last = lastRepeated(finer);
        List<String> joined = new ArrayList<>();
        String over = "";
        for (int i = 0; i < Math.max(above.size(), finer.size()); i++) {
            String own = i < finer.size() ? finer.get(i).strip() : "";
            String top = i < above.size() ? above.get(i).strip() : "";
            over = top.isEmpty() ? over : top;
            joined.add(own.isEmpty() ? top : i <= last ? (over + " " + own).strip() : own);
        }
        return List.copyOf(joined);
    }

    private static boolean isRepeated(List<String> cells) {
        return lastRepeated(cells) >= 0;
    }

    /** Where the last of the cells stands that say what another one says; below 0 where none does. */
    private static int lastRepeated(List<String> cells) {
        List<String> plain = cells.stream().map(Heading::words).toList();
        return IntStream.range(0, plain.size())
                .filter(i -> !plain.get(i).isEmpty() && Collections.frequency(plain, plain.get(i)) > 1)
                .max()
                .orElse(-1);
    }
}
