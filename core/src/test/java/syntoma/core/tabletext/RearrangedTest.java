package syntoma.core.tabletext;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import syntoma.core.reading.Figure;

/** A table is taken for the same, whichever way its columns stand and its cells were typed. */
class RearrangedTest {
    private static final List<Arguments> WAYS = List.of(
            way("headings in capitals", cell -> cell.toUpperCase(Locale.ROOT), cell -> cell),
            way("headings in small letters", cell -> cell.toLowerCase(Locale.ROOT), cell -> cell),
            way("blanks around headings", cell -> "  " + cell + " ", cell -> cell),
            way("lines of underscores", cell -> cell.replace(' ', '_'), cell -> cell),
            way("headings with two lines", cell -> cell.replace(" (", "\n("), cell -> cell),
            way("blanks that do not break", cell -> cell.replace(' ', '\u00a0'), cell -> cell.replace(' ', '\u00a0')),
            way("blanks around cells", cell -> cell, cell -> " " + cell + "  "),
            way("true minus signs", cell -> cell, cell -> cell.replaceAll("^-(?=\\d)", "\u2212")));

    private static Arguments way(String name, UnaryOperator<String> heading, UnaryOperator<String> cell) {
        return Arguments.of(name, heading, cell);
    }

    static Stream<Arguments> rearranged() throws IOException {
        return TablesTest.tables().flatMap(table -> WAYS.stream()
                .map(way -> Arguments.of(table, way.get()[0], way.get()[1], way.get()[2])));
    }

    @ParameterizedTest(name = "{0}: {1}")
    @MethodSource("rearranged")
    void it_is_the_same_table(
            TablesTest.ToldTable table, String name, UnaryOperator<String> heading, UnaryOperator<String> cell) {
        List<String> header = table.rows().get(0);
        List<List<String>> rows = table.rows().subList(1, table.rows().size());
        Proposal before = Proposal.of(header, rows);
        Proposal after = Proposal.of(
                header.stream().map(heading).toList(),
                rows.stream().map(row -> row.stream().map(cell).toList()).toList());
        assertEquals(uses(before), uses(after));
        assertEquals(before.questions(), after.questions());
        assertEquals(before.order(), after.order());
    }

    /** Where nothing stands twice: of two the first is taken. */
    static Stream<TablesTest.ToldTable> singly() throws IOException {
        return TablesTest.tables().filter(table -> !Proposal.of(
                        table.rows().get(0),
                        table.rows().subList(1, table.rows().size()))
                .reasons()
                .contains("kept in the note: another column holds this already"));
    }

    @ParameterizedTest
    @MethodSource("singly")
    void the_order_of_the_columns_says_nothing(TablesTest.ToldTable table) {
        List<List<String>> turned = table.rows().stream()
                .map(row -> {
                    List<String> cells = new ArrayList<>(row);
                    Collections.reverse(cells);
                    return List.copyOf(cells);
                })
                .toList();
        List<String> before = uses(Proposal.of(
                table.rows().get(0), table.rows().subList(1, table.rows().size())));
        List<String> after = uses(Proposal.of(turned.get(0), turned.subList(1, turned.size())));
        List<String> back = IntStream.range(0, after.size())
                .mapToObj(i -> after.get(after.size() - 1 - i))
                .toList();
        assertEquals(before, back);
    }

    private static List<String> uses(Proposal proposal) {
        return proposal.columns().stream()
                .map(c -> c.figure().map(Figure::name).orElse(c.use().name()))
                .toList();
    }
}
