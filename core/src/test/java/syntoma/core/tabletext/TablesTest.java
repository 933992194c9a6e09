package syntoma.core.tabletext;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import syntoma.core.reading.Figure;

/** Tables kept by hand, each with what its columns are, what has to be asked, and what the measurements of its first row say. */
class TablesTest {
    /** One table of {@code tables.txt}; blanks in expected values are written as underscores. */
    record ToldTable(
            String name,
            List<String> columns,
            List<String> asked,
            List<String> answers,
            List<List<String>> rows,
            List<List<String>> said) {
        @Override
        public String toString() {
            return name;
        }
    }

    static Stream<ToldTable> tables() throws IOException {
        try (InputStream in = TablesTest.class.getResourceAsStream("tables.txt")) {
            String all = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            // the first part says how the file is written
            return Arrays.stream(all.split("\n\n")).skip(1).map(TablesTest::told);
        }
    }

    private static ToldTable told(String text) {
        Map<Character, String> marked = new HashMap<>();
        List<List<String>> rows = new ArrayList<>();
        List<List<String>> said = new ArrayList<>();
        for (String line : text.strip().split("\n")) {
            if (line.charAt(0) == '>') {
                said.add(words(line.substring(1).strip()));
            } else if ("#=?!".indexOf(line.charAt(0)) >= 0) {
                marked.put(line.charAt(0), line.substring(1).strip());
            } else {
                rows.add(List.of(line.split("\\|", -1)));
            }
        }
        return new ToldTable(
                marked.get('#'), words(marked.get('=')), words(marked.get('?')), words(marked.get('!')), rows, said);
    }

    private static List<String> words(String text) {
        return text.isBlank() ? List.of() : List.of(text.split(" "));
    }

    @ParameterizedTest
    @MethodSource("tables")
    void each_column_is_taken_for_what_it_is_and_the_first_row_is_read(ToldTable table) {
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
        List<Map<Figure, String>> measurements = mapping.measurements(rows.get(0));
        assertEquals(table.said.size(), measurements.size(), measurements.toString());
        for (int i = 0; i < measurements.size(); i++) {
            for (String said : table.said.get(i)) {
                String[] parts = said.split("=", 2);
                String read = measurements.get(i).getOrDefault(Figure.valueOf(parts[0]), "");
                assertEquals(parts[1].replace('_', ' '), read.replace('_', ' '), parts[0]);
            }
        }
    }

    private static Mapping answered(Proposal proposal, List<String> answers) {
        ZoneId zone = ZoneId.of(answers.get(0));
        DateOrder order = proposal.order().orElse(null);
        boolean comma = false;
        boolean above = false;
        Optional<Integer> year = Optional.empty();
        Optional<LocalTime> clock = Optional.empty();
        Each each = proposal.each().orElse(Each.RUN);
        Map<Figure, String> fixed = new EnumMap<>(Figure.class);
        for (String answer : answers.subList(1, answers.size())) {
            if (answer.equals("comma")) {
                comma = true;
            } else if (answer.equals("above")) {
                above = true;
            } else if (answer.startsWith("year=")) {
                year = Optional.of(Integer.parseInt(answer.substring(5)));
            } else if (answer.startsWith("clock=")) {
                clock = Optional.of(LocalTime.parse(answer.substring(6)));
            } else if (answer.startsWith("each=")) {
                each = Each.valueOf(answer.substring(5));
            } else if (answer.contains("=")) {
                fixed.put(Figure.valueOf(answer.split("=")[0]), answer.split("=")[1].replace('_', ' '));
            } else {
                order = DateOrder.valueOf(answer);
            }
        }
        assertTrue(order != null, "the order of the dates is neither settled nor answered");
        return new Mapping(proposal.columns(), order, zone, year, clock, comma, above, each, fixed);
    }

    @Test
    void what_is_named_once_holds_for_the_rows_below_it() {
        List<String> header = List.of("Date", "Time", "Camp", "Kit", "Carrier", "Down");
        List<List<String>> rows = List.of(
                List.of("2026-08-14", "18:05", "Quarry Lake", "Dome", "Brissa", "21"),
                List.of("", "18:20", "", "Mast", "", "34"),
                List.of("", "", "", "", "", "30"),
                List.of("2026-08-15", "9:00", "Amber Spit", "", "", "12"));
        Proposal proposal = Proposal.of(header, rows);
        assertTrue(proposal.questions().contains(Proposal.Question.ABOVE));
        Mapping mapping = answered(proposal, List.of("+03:00", "above"));
        List<String> read = new ArrayList<>();
        List<String> over = List.of();
        for (List<String> row : rows) {
            over = mapping.fill(row, over);
            Map<Figure, String> texts = mapping.measurements(over).get(0);
            read.add(texts.get(Figure.TAKEN_AT) + " " + texts.get(Figure.CAMPSITE) + " " + texts.get(Figure.SETUP) + " "
                    + texts.getOrDefault(Figure.CARRIER, "-"));
        }
        assertEquals(
                List.of(
                        "2026-08-14T18:05:00+03:00 Quarry Lake Dome Brissa",
                        "2026-08-14T18:20:00+03:00 Quarry Lake Mast -",
                        "2026-08-14T18:20:00+03:00 Quarry Lake Mast -",
                        "2026-08-15T09:00:00+03:00 Amber Spit Mast -"),
                read);
        Mapping plain = answered(proposal, List.of("+03:00"));
        assertEquals(rows.get(1), plain.fill(rows.get(1), rows.get(0)));
    }

    @Test
    void a_row_of_more_measurements_than_anybody_notes_is_none_of_several() {
        List<String> header = new ArrayList<>(List.of("Date", "Time", "Camp", "Kit"));
        List<String> row = new ArrayList<>(List.of("2026-08-14", "18:05", "Quarry Lake", "Dome"));
        for (int i = 1; i <= Mapping.MOST_OF_A_ROW + 1; i++) {
            header.add("DL " + i);
            row.add(String.valueOf(i));
        }
        Proposal proposal = Proposal.of(header, List.of(row));
        assertEquals(List.of(), proposal.labels());
        List<Column> columns =
                header.stream().map(h -> Column.of(h, Column.Use.NOTE).ofOne(h)).toList();
        assertTrue(assertThrows(
                        IllegalArgumentException.class,
                        () -> new Mapping(
                                columns,
                                DateOrder.DAY_FIRST,
                                ZoneId.of("Z"),
                                Optional.empty(),
                                Optional.empty(),
                                false,
                                false,
                                Each.RUN,
                                Map.of()))
                .getMessage()
                .contains("allowed are up to 40"));
    }
}
