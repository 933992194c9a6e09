package syntoma.core.statustext;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Locale;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import syntoma.core.reply.Cell;

/** The same page says the same, however it comes: ends of lines, blanks and minus signs are the clipboard's and not the router's. */
class RetypedTest {
    private static final List<Arguments> WAYS = List.of(
            way("ends of lines of another system", text -> text.replace("\n", "\r\n")),
            way("ends of lines of an old system", text -> text.replace("\n", "\r")),
            way("blanks that do not break", text -> text.replace(' ', '\u00a0')),
            way("blanks at the ends of lines", text -> text.replace("\n", "  \n")),
            way("a mark at the front", text -> "\ufeff" + text),
            way("empty lines around it", text -> "\n\n" + text + "\n\n"),
            way("true minus signs", text -> text.replaceAll("(?<![\\w.)])-(?=\\d)", "\u2212")),
            way("dashes for minus signs", text -> text.replaceAll("(?<![\\w.)])-(?=\\d)", "\u2013")),
            way("indented", text -> text.replaceAll("(?m)^", "    ")),
            way("units close", text -> text.replaceAll("(?<=\\d) (?=(?:dBm|dB|MHz|Mbps|Mbit/s|Mb/s|ms)\\b)", "")),
            way("units apart", text -> text.replaceAll("(?<=\\d)(?=(?:dBm|dB|MHz|Mbps|Mbit/s|Mb/s|ms)\\b)", " ")),
            way("tabs after colons", text -> text.replaceAll("(?m)^([\\p{L} ]+): +", "$1:\t")),
            way("equal signs", text -> text.replaceAll("(?m)^([\\p{L} ]+): +", "$1 = ")),
            way("blank lines between", text -> text.replace("\n", "\n\n")),
            way("commas", text -> text.replaceAll("(?<=[ \\t:]-?\\d{1,3})\\.(?=\\d{1,2}(?: |$))", ",")),
            way("a list", text -> text.replaceAll("(?m)^(?=[\\p{L}])", "\u2022 ")),
            way("a list with stars", text -> text.replaceAll("(?m)^(?=[\\p{L}])", "* ")),
            way("a text that is quoted", text -> text.replaceAll("(?m)^(?=[\\p{L}])", "> ")),
            way("values below their names", text -> text.replaceAll("(?m)^([\\p{L} ]+): +([^:\n]*)$", "$1\n$2")),
            way("tabs for colons", text -> text.replaceAll("(?m)^([\\p{L} ]+): +([^:\n]*)$", "$1\t$2")),
            way("wide blanks for colons", text -> text.replaceAll("(?m)^([\\p{L} ]+): +([^:\n]*)$", "$1   $2")),
            way("a table with strokes", text -> text.replaceAll("(?m)^([\\p{L} ]+): +([^:\n]*)$", "| $1 | $2 |")),
            way(
                    "names and values in quotes",
                    text -> text.replaceAll("(?m)^([\\p{L} ]+): +([^:\n]*)$", "\"$1\": \"$2\",")),
            way("no end of the last line", text -> text.stripTrailing()));

    private static Arguments way(String name, UnaryOperator<String> way) {
        return Arguments.of(name, way);
    }

    static Stream<Arguments> samplesRetyped() throws Exception {
        return StatusTextTest.samples().flatMap(sample -> WAYS.stream()
                .map(way -> Arguments.of(sample.get()[0], way.get()[0], sample.get()[1], way.get()[1])));
    }

    @ParameterizedTest(name = "{0}: {1}")
    @MethodSource("samplesRetyped")
    void it_says_the_same(String name, String way, String text, UnaryOperator<String> retyped) {
        StatusText before = StatusText.read(text);
        StatusText after = StatusText.read(retyped.apply(text));
        assertEquals(before.mode(), after.mode());
        assertEquals(before.carrier(), after.carrier());
        assertEquals(before.speed(), after.speed());
        assertEquals(cells(before), cells(after));
        assertEquals(codes(before), codes(after));
    }

    static Stream<Arguments> samplesWithoutTags() throws Exception {
        return StatusTextTest.samples()
                .filter(sample -> !sample.get()[1].toString().contains("<"))
                .map(sample -> Arguments.of(sample.get()[0], sample.get()[1]));
    }

    /** A page whose style puts everything in capitals is copied in capitals. */
    @ParameterizedTest(name = "{0}")
    @MethodSource("samplesWithoutTags")
    void in_capitals_it_says_the_same_or_asks(String name, String text) {
        StatusText before = StatusText.read(text);
        StatusText after = StatusText.read(text.toUpperCase(Locale.ROOT));
        assertEquals(cells(before), cells(after));
        assertEquals(before.mode(), after.mode());
        assertEquals(
                before.carrier().map(carrier -> carrier.toUpperCase(Locale.ROOT)),
                after.carrier().map(carrier -> carrier.toUpperCase(Locale.ROOT)));
        boolean asked = after.warnings().stream().anyMatch(w -> w.message().contains("bits or bytes"));
        assertTrue(asked || before.speed().equals(after.speed()), before.speed() + " and " + after.speed());
        // what is asked has what it was among its answers
        before.speed()
                .flatMap(Speeds::downMbps)
                .filter(down -> asked)
                .ifPresent(down -> assertTrue(
                        after.warnings().stream()
                                .flatMap(w -> w.doubt().stream())
                                .flatMap(doubt -> doubt.values().stream())
                                .anyMatch(value -> Math.abs(Double.parseDouble(value) - down) < 1e-3 * down),
                        after.warnings().toString()));
    }

    private static List<String> cells(StatusText text) {
        return text.cells().stream().map(Cell::toString).toList();
    }

    private static List<Warning.Code> codes(StatusText text) {
        return text.warnings().stream().map(Warning::code).toList();
    }
}
