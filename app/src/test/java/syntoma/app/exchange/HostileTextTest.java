package syntoma.app.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import syntoma.app.csv.CsvCells;
import syntoma.app.platform.GeoJson;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.place.Coordinates;
import syntoma.core.reply.AtAnswers;
import syntoma.core.sheettext.SheetText;
import syntoma.core.statustext.StatusText;
import syntoma.core.tabletext.Header;
import syntoma.core.tabletext.JoinedCells;
import syntoma.core.tabletext.Proposal;
import syntoma.core.tabletext.TransposedTable;

/**
 * Text from elsewhere, made to take long: twice as much of it takes about twice as long, whatever it repeats. Each reader is given each
 * filler as one long line, as many lines, and inside the words that its patterns look for.
 */
class HostileTextTest {
    /** Sizes are doubled until one reading takes so long, so that the noise of the machine tells little. */
    private static final double LONG_ENOUGH_MS = 20;

    private static final int USUAL_LINE = 60;
    private static final int SMALLEST = 2_000;
    private static final int LARGEST = 60_000;
    private static final double MOST_RATIO = 2.5;

    /** A reading that goes on for longer than this is not doubled any more: it is over the ratio. */
    private static final double FAR_TOO_LONG_MS = 1_000;

    private static final int TRIES = 3;

    private static final List<String> FILLERS = List.of(
            " ", ",", "\"", "1", "-", "(", "[", "<a>", "/", "B3+", "n78 (", "RSRP: ", "dBm ", "Mb/s ", "\u00a0",
            "{\"a\":", "1 2 ", "698-", "SMA ", "59°");

    private static final Map<String, Consumer<String>> READERS = readers();

    private static Map<String, Consumer<String>> readers() {
        Map<String, Consumer<String>> readers = new LinkedHashMap<>();
        readers.put("status text", StatusText::read);
        for (SheetText.Kind kind : SheetText.Kind.values()) {
            readers.put("data sheet, " + kind, text -> SheetText.read(kind, text));
        }
        readers.put("coordinates", Coordinates::read);
        readers.put("a modem's answers", text -> AtAnswers.read(text.lines().toList()));
        readers.put("a heading", text -> proposal(List.of(text, "Down/Up (Mbps)"), "1"));
        readers.put("a cell", text -> proposal(List.of("When", "RSRP", "Place"), text));
        readers.put("headings", text -> {
            List<String> headings =
                    Arrays.stream(text.split("(?<=\\G.{4})")).limit(1_000).toList();
            proposal(headings, "5");
        });
        readers.put("CSV", text -> {
            try (CsvCells cells = CsvCells.of(text.getBytes(StandardCharsets.UTF_8))) {
                while (cells.next() != null) {
                    // read to its end
                }
            } catch (IOException impossible) {
                throw new IllegalStateException(impossible);
            }
        });
        readers.put("a table", text -> {
            try (TableFile table = TableFile.open(
                    new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)), "", names -> Optional.empty())) {
                while (table.next() != null) {
                    // read to its end
                }
            } catch (IOException impossible) {
                throw new IllegalStateException(impossible);
            }
        });
        readers.put(
                "GPX",
                text -> GpxFile.read(("<gpx><wpt lat='1' lon='1'><name>" + text + "</name></wpt></gpx>")
                        .getBytes(StandardCharsets.UTF_8)));
        readers.put("GPX of elements", text -> GpxFile.read(("<gpx>" + text).getBytes(StandardCharsets.UTF_8)));
        readers.put(
                "GeoJSON",
                text -> GeoJson.read(("{\"type\":\"FeatureCollection\",\"features\":[" + text + "]}")
                        .getBytes(StandardCharsets.UTF_8)));
        return readers;
    }

    private static void proposal(List<String> headings, String cell) {
        List<String> row = headings.stream().map(heading -> cell).toList();
        Header.of(List.of(headings, row));
        TransposedTable.isOne(List.of(headings, row));
        JoinedCells.of(headings).cells(row);
        Proposal.of(headings, List.of(row));
    }

    private static double ms(Consumer<String> reader, String text) {
        long start = System.nanoTime();
        try {
            reader.accept(text);
        } catch (IllegalArgumentException | InvalidInputException refused) {
            // that is what should happen
        }
        return (System.nanoTime() - start) / 1e6;
    }

    /** One line of a length, or so many of a line's usual length. */
    private static String of(String filler, int length, boolean lines) {
        String one = filler.repeat(Math.max(1, (lines ? USUAL_LINE : length) / filler.length()));
        return lines ? (one + "\n").repeat(length / USUAL_LINE) : one;
    }

    /** What is wrong with a reader and a filler; empty where nothing is. */
    private static Optional<String> fault(String what, Consumer<String> reader, String filler, boolean lines) {
        int length = SMALLEST;
        double brief = ms(reader, of(filler, length, lines));
        while (brief < LONG_ENOUGH_MS && length < LARGEST) {
            length *= 2;
            brief = ms(reader, of(filler, length, lines));
        }
        if (brief < LONG_ENOUGH_MS) {
            return Optional.empty();
        }
        double least = Double.MAX_VALUE;
        for (int i = 0; i < TRIES && least > MOST_RATIO; i++) {
            double once = Math.min(ms(reader, of(filler, length, lines)), ms(reader, of(filler, length, lines)));
            double twice = ms(reader, of(filler, 2 * length, lines));
            if (twice < FAR_TOO_LONG_MS) {
                twice = Math.min(twice, ms(reader, of(filler, 2 * length, lines)));
            }
            least = Math.min(least, twice / once);
        }
        return least <= MOST_RATIO
                ? Optional.empty()
                : Optional.of(String.format(
                        "%s of “%s”, in lines: %s, %d characters %.0f ms, twice as many ×%.1f",
                        what, filler.replace("\t", "\\t"), lines, length, brief, least));
    }

    @Test
    void twice_as_much_takes_twice_as_long() {
        List<String> faults = new ArrayList<>();
        READERS.forEach((what, reader) -> {
            for (String filler : FILLERS) {
                for (boolean lines : new boolean[] {false, true}) {
                    fault(what, reader, filler, lines).ifPresent(f -> {
                        faults.add(f);
                        System.out.println("FAULT " + f);
                    });
                }
            }
        });
        assertEquals("", String.join("\n", faults));
    }
}
