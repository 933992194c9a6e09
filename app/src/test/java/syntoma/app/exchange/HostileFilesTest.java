package syntoma.app.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import syntoma.app.csv.FieldLimit;
import syntoma.app.csv.SpreadsheetGuard;
import syntoma.app.measurement.MeasurementReader;
import syntoma.core.band.Bands;
import syntoma.core.chain.Connector;
import syntoma.core.trial.Outcome;
import syntoma.core.unit.DataRate;
import syntoma.core.unit.Text;

/** Files and figures made to harm: refused before they fill the memory, and in a time that follows their length. */
class HostileFilesTest {
    private static final int SHORT = 50_000;
    private static final int TIMES = 8;

    /** Eight times the length may take sixteen times as long, for the noise; a pattern that backtracks takes 64 times. */
    private static final double MOST_RATIO = 2.0 * TIMES;

    private static final double NOISE_MS = 4;

    private static final Map<String, Consumer<String>> READERS = Map.of(
            "rate", text -> quietly(() -> DataRate.parse(text)),
            "band", text -> quietly(() -> Bands.of(text)),
            "connector", text -> quietly(() -> Connector.of(text)),
            "outcome", text -> quietly(() -> Outcome.fromLabel(text)),
            "name", text -> quietly(() -> Text.name("name", text, 120)),
            "note", text -> quietly(() -> Text.lines("note", text)),
            "guard", text -> SpreadsheetGuard.off(SpreadsheetGuard.on(text)),
            "time", text -> quietly(() -> new MeasurementReader(true).read(column -> text)));

    private static void quietly(Runnable reading) {
        try {
            reading.run();
        } catch (IllegalArgumentException refused) {
            // that is what should happen
        }
    }

    private static final int TRIES = 4;

    @Test
    void reading_takes_as_long_as_the_text_and_no_longer() {
        for (String filler : List.of(" ", "1", "a", "'", "-", ".", ";", "=", "a.b", "1 ", "'=;")) {
            READERS.forEach((what, reader) -> {
                // what takes too long does so every time; a machine that is busy for a while does not
                List<String> slow = new ArrayList<>();
                for (int i = 0; i < TRIES && slow.size() == i; i++) {
                    double brief = fastest(reader, filler.repeat(SHORT));
                    double lengthy = fastest(reader, filler.repeat(SHORT * TIMES));
                    if (lengthy >= NOISE_MS && lengthy >= MOST_RATIO * Math.max(brief, NOISE_MS / TIMES)) {
                        slow.add(what + " of “" + filler + "”: " + brief + " ms, then " + lengthy + " ms");
                    }
                }
                assertTrue(slow.size() < TRIES, slow.toString());
            });
        }
    }

    private static double fastest(Consumer<String> reader, String text) {
        double fastest = Double.MAX_VALUE;
        for (int i = 0; i < 7; i++) {
            long start = System.nanoTime();
            reader.accept(text);
            fastest = Math.min(fastest, (System.nanoTime() - start) / 1e6);
        }
        return fastest;
    }

    private static String read(String file) throws IOException {
        try (FieldLimit limited = new FieldLimit(new StringReader(file), ',')) {
            char[] all = new char[file.length()];
            int read = limited.read(all, 0, all.length);
            return new String(all, 0, Math.max(0, read));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"x", " ", "\"\"", "\n"})
    void a_field_without_end_is_refused(String filler) {
        String file = "a,\"" + filler.repeat(FieldLimit.LONGEST_FIELD) + "x\"\n";
        FieldLimit.TooLong refused = assertThrows(FieldLimit.TooLong.class, () -> read(file));
        assertTrue(refused.getMessage().contains("64000 characters"), refused.getMessage());
    }

    @Test
    void as_many_fields_as_fit_are_taken_and_columns_without_end_are_not() throws IOException {
        String field = "x".repeat(FieldLimit.LONGEST_FIELD);
        String file = field + "," + field + "\n" + field + ",\"" + "y".repeat(FieldLimit.LONGEST_FIELD - 2) + "\"\n";
        assertEquals(file, read(file));
        String wide = ",".repeat(FieldLimit.MOST_COLUMNS);
        assertTrue(assertThrows(FieldLimit.TooLong.class, () -> read(wide))
                .getMessage()
                .contains("1000 columns"));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "=x",
                "a;=x",
                "a; =x",
                "a;\"=x\"",
                "a\t+x",
                "a\n-x",
                "'=x",
                "a;''@x",
                "plain; text",
                "",
                ";",
                "a;"
            })
    void a_text_is_guarded_wherever_a_cell_may_begin_and_comes_back(String text) {
        String guarded = SpreadsheetGuard.on(text);
        for (String cell : guarded.split("[;\t\n]")) {
            String bare = cell.replaceAll("^[ \"]+", "");
            assertTrue(bare.isEmpty() || "=+-@".indexOf(bare.charAt(0)) < 0, guarded);
        }
        assertEquals(text, SpreadsheetGuard.off(guarded));
    }
}
