package syntoma.core.tabletext;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import syntoma.core.reading.Figure;

/** Tables kept by hand, each with what its columns are, what has to be asked, and what the first row says. */
class TablesTest {
    /** One table of {@code tables.txt}; blanks in expected values are written as underscores. */
    record Told(
            String name,
            List<String> columns,
            List<String> asked,
            List<String> answers,
            List<List<String>> rows,
            List<String> said) {
        @Override
        public String toString() {
            return name;
        }
    }

    static Stream<Told> tables() throws IOException {
        try (InputStream in = TablesTest.class.getResourceAsStream("tables.txt")) {
            String all = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            // the first part says how the file is written
            return Arrays.stream(all.split("\n\n")).skip(1).map(TablesTest::told);
        }
    }

    private static Told told(String text) {
        Map<Character, String> marked = new HashMap<>();
        List<List<String>> rows = new ArrayList<>();
        for (String line : text.strip().split("\n")) {
            if ("#=?!>".indexOf(line.charAt(0)) >= 0) {
                marked.put(line.charAt(0), line.substring(1).strip());
            } else {
                rows.add(List.of(line.split("\\|", -1)));
            }
        }
        return new Told(
                marked.get('#'),
                words(marked.get('=')),
                words(marked.get('?')),
                words(marked.get('!')),
                rows,
                words(marked.get('>')));
    }

    private static List<String> words(String text) {
        return text.isBlank() ? List.of() : List.of(text.split(" "));
    }

    @ParameterizedTest
    @MethodSource("tables")
    void each_column_is_taken_for_what_it_is_and_the_first_row_is_read(Told table) {
        List<String> header = table.rows.get(0);
        List<List<String>> rows = table.rows.subList(1, table.rows.size());
        Proposal proposal = Proposal.of(header, rows);
        assertEquals(
                table.columns,
                proposal.columns().stream()
                        .map(c -> c.figure().map(Figure::name).orElse(c.use().name()))
                        .toList());
        assertEquals(header.size(), proposal.reasons().size());
        Set<Proposal.Question> asked = table.asked.stream()
                .map(Proposal.Question::valueOf)
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Proposal.Question.class)));
        assertEquals(asked, proposal.questions());

        Mapping mapping = answered(proposal, table.answers);
        assertEquals(List.of(), mapping.lacking());
        Map<Figure, String> texts = mapping.texts(rows.get(0));
        for (String said : table.said) {
            String[] parts = said.split("=", 2);
            assertEquals(
                    parts[1].replace('_', ' '),
                    texts.get(Figure.valueOf(parts[0])).replace('_', ' '),
                    parts[0]);
        }
    }

    private static Mapping answered(Proposal proposal, List<String> answers) {
        ZoneId zone = ZoneId.of(answers.get(0));
        DateOrder order = proposal.order().orElse(null);
        boolean comma = false;
        Map<Figure, String> fixed = new EnumMap<>(Figure.class);
        for (String answer : answers.subList(1, answers.size())) {
            if (answer.equals("comma")) {
                comma = true;
            } else if (answer.contains("=")) {
                fixed.put(Figure.valueOf(answer.split("=")[0]), answer.split("=")[1].replace('_', ' '));
            } else {
                order = DateOrder.valueOf(answer);
            }
        }
        assertTrue(order != null, "the order of the dates is neither settled nor answered");
        return new Mapping(proposal.columns(), order, zone, comma, fixed);
    }
}
