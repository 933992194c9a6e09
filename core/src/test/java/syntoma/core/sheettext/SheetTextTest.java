package syntoma.core.sheettext;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import syntoma.core.sheettext.SheetText.Kind;

/** Invented sheets of all kinds, each with what a person reads in them; what is asked begins with a question mark. */
class SheetTextTest {
    record Sheet(Kind kind, String text, List<String> expected) {
        @Override
        public String toString() {
            return kind + " " + text.lines().findFirst().orElse("");
        }
    }

    static Stream<Sheet> sheets() throws IOException {
        String all = new String(
                SheetTextTest.class.getResourceAsStream("sheets.txt").readAllBytes(), StandardCharsets.UTF_8);
        return Arrays.stream(all.split("(?m)^=== ")).filter(s -> !s.isBlank()).map(SheetTextTest::sheet);
    }

    private static Sheet sheet(String text) {
        int head = text.indexOf('\n');
        int line = text.indexOf("---\n");
        return new Sheet(
                Kind.fromLabel(text.substring(0, head)),
                text.substring(head + 1, line),
                text.substring(line + 4).lines().filter(l -> !l.isBlank()).toList());
    }

    @Test
    void there_are_enough_of_them() throws IOException {
        assertTrue(sheets().count() >= 35);
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void each_is_read_as_a_person_reads_it(Sheet sheet) {
        List<String> found = SheetText.read(sheet.kind(), sheet.text()).stream()
                .map(f -> (f.isSure() ? "" : "? ") + f.field() + " = " + f.value()
                        + (f.otherValues().isEmpty() ? "" : " | " + f.otherValues()))
                .toList();
        assertEquals(String.join("\n", sheet.expected()), String.join("\n", found));
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void every_field_shows_words_that_stand_in_the_text(Sheet sheet) {
        for (FoundField f : SheetText.read(sheet.kind(), sheet.text())) {
            String line = sheet.text().lines().toList().get(f.line() - 1);
            // what stood in lines of its own is put together with a colon
            String first = f.words().split("[,;:]+| …", 2)[0];
            assertTrue(sheet.text().contains(first) && !first.isBlank(), f.field() + ": " + f.words());
            assertTrue(line.strip().length() > 0);
        }
    }

    @Test
    void an_empty_or_endless_text_is_refused() {
        assertThrows(IllegalArgumentException.class, () -> SheetText.read(Kind.DEVICE, "  \n "));
        assertTrue(assertThrows(
                        IllegalArgumentException.class,
                        () -> SheetText.read(Kind.DEVICE, "x".repeat(SheetText.LONGEST + 1)))
                .getMessage()
                .contains("allowed are up to 200000"));
        assertTrue(assertThrows(IllegalArgumentException.class, () -> Kind.fromLabel("boat"))
                .getMessage()
                .contains("device, antenna"));
    }

    /** Whatever is pasted is read without a fault; the words of sheets in any order. */
    @Property(tries = 300)
    void anything_can_be_pasted(@ForAll long seed) throws IOException {
        Random random = new Random(seed);
        List<String> words = sheets().flatMap(s -> Arrays.stream(s.text().split("(?<=\\W)|\\s")))
                .toList();
        StringBuilder text = new StringBuilder("x");
        for (int i = 0; i < 200; i++) {
            text.append(words.get(random.nextInt(words.size()))).append(random.nextInt(9) == 0 ? "\n" : " ");
        }
        for (Kind kind : Kind.values()) {
            for (FoundField f : SheetText.read(kind, text.toString())) {
                assertTrue(!f.words().isEmpty() && f.line() >= 1, f.toString());
            }
        }
    }

    /** Twenty times the text takes about twenty times as long, not four hundred times. */
    @Test
    void time_grows_with_length() {
        for (String worst :
                List.of("4 x SMA ", "1-", "B1/", "698-960 MHz 3 dBi ", "9 V - ", "2x2 mimo ", "cat 4 3ca ")) {
            time(worst, 5_000);
            double small = time(worst, 5_000);
            double large = time(worst, 100_000);
            assertTrue(large < 100 * Math.max(small, 1e-3), worst + ": " + small + " s and " + large + " s");
        }
    }

    private static double time(String piece, int length) {
        String text = piece.repeat(length / piece.length());
        double best = Double.MAX_VALUE;
        for (int i = 0; i < 3; i++) {
            long start = System.nanoTime();
            for (Kind kind : Kind.values()) {
                SheetText.read(kind, text);
            }
            best = Math.min(best, (System.nanoTime() - start) / 1e9);
        }
        return best;
    }
}
