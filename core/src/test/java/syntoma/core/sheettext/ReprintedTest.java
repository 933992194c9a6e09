package syntoma.core.sheettext;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** A sheet says the same, however its page was laid out and copied. */
class ReprintedTest {
    private static final String NAME_AND_VALUE = "(?m)^([\\p{L}][\\p{L} ]*): +([^:\\n]*)$";

    private static final List<Arguments> WAYS = List.of(
            way("ends of lines of another system", text -> text.replace("\n", "\r\n")),
            way("blanks that do not break", text -> text.replace(' ', '\u00a0')),
            way("blanks at the ends of lines", text -> text.replace("\n", "  \n")),
            way("a mark at the front", text -> "\ufeff" + text),
            way("empty lines around it", text -> "\n\n" + text + "\n\n"),
            way("empty lines between", text -> text.replace("\n", "\n\n")),
            way("indented", text -> text.replaceAll("(?m)^", "    ")),
            way("true minus signs", text -> text.replaceAll("(?<![\\w.)])-(?=\\d)", "\u2212")),
            way("a list", text -> text.replaceAll("(?m)(?<=\n)(?=[\\p{L}\\d])", "\u2022 ")),
            way("tabs for colons", text -> text.replaceAll(NAME_AND_VALUE, "$1\t$2")),
            way("wide blanks for colons", text -> text.replaceAll(NAME_AND_VALUE, "$1    $2")),
            way("a table with strokes", text -> text.replaceAll(NAME_AND_VALUE, "| $1 | $2 |")),
            way("values below their names", text -> text.replaceAll(NAME_AND_VALUE, "$1\n$2")),
            way("values below their names and colons", text -> text.replaceAll(NAME_AND_VALUE, "$1:\n$2")),
            way("in capitals", text -> text.toUpperCase(Locale.ROOT)));

    private static Arguments way(String name, UnaryOperator<String> way) {
        return Arguments.of(name, way);
    }

    static Stream<Arguments> reprinted() throws IOException {
        return SheetTextTest.sheets()
                .flatMap(sheet -> WAYS.stream().map(way -> Arguments.of(sheet, way.get()[0], way.get()[1])));
    }

    @ParameterizedTest(name = "{0}: {1}")
    @MethodSource("reprinted")
    void it_says_the_same(SheetTextTest.Sheet sheet, String name, UnaryOperator<String> way) {
        assertEquals(said(sheet, sheet.text()), said(sheet, way.apply(sheet.text())));
    }

    /** What it says; the case of letters is the page's. */
    private static String said(SheetTextTest.Sheet sheet, String text) {
        return String.join(
                        "\n",
                        SheetText.read(sheet.kind(), text).stream()
                                .filter(f -> !f.field().equals("name"))
                                .map(f -> (f.isSure() ? "" : "? ") + f.field() + " = " + f.value())
                                .sorted()
                                .toList())
                .toUpperCase(Locale.ROOT);
    }
}
