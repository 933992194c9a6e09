package syntoma.core.statustext;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import syntoma.core.reply.Cell;
import syntoma.core.unit.Values;

/** Pasted texts of invented layouts, each with what it says. */
class StatusTextTest {
    static Stream<Arguments> samples() throws IOException {
        try (InputStream in = StatusTextTest.class.getResourceAsStream("samples.txt")) {
            String all = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            return Stream.of(all.split("(?m)^### ")).skip(1).map(sample -> {
                int first = sample.indexOf('\n');
                String[] parts = sample.substring(first + 1).split("(?m)^---\n");
                return Arguments.of(sample.substring(0, first), parts[0], parts[1].strip());
            });
        }
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("samples")
    void what_a_text_says_is_read_and_nothing_else(String name, String text, String says) {
        assertEquals(says, said(StatusText.read(text)));
    }

    private static String said(StatusText read) {
        List<String> lines = new ArrayList<>();
        lines.add(read.mode().orElse("-") + ", " + read.carrier().orElse("-"));
        read.cells().forEach(cell -> lines.add(said(cell)));
        read.speed()
                .ifPresent(s -> lines.add("speed"
                        + part(" down", s.downMbps())
                        + part(" up", s.upMbps())
                        + part(" idle", s.idleMs())
                        + part(" downLoaded", s.downLoadedMs())
                        + part(" upLoaded", s.upLoadedMs())));
        read.warnings().forEach(w -> lines.add(w.code().label() + " " + w.line()));
        return String.join("\n", lines);
    }

    private static String said(Cell cell) {
        return cell.role().label() + " " + cell.rat().orElse("?")
                + cell.band().map(b -> " " + b).orElse("")
                + cell.arfcn().map(a -> " ch" + a).orElse("")
                + part(" ", cell.bandwidthMhz())
                + (cell.bandwidthMhz().isPresent() ? "MHz" : "")
                + cell.pci().map(p -> " pci" + p).orElse("")
                + cell.cellId().map(i -> " id" + i).orElse("")
                + part(" rssi", cell.rssiDbm())
                + part(" rsrp", cell.rsrpDbm())
                + part(" rsrq", cell.rsrqDb())
                + part(" sinr", cell.sinrDb());
    }

    private static String part(String name, Optional<Double> value) {
        return value.map(v ->
                        name + Values.format(Math.round(v * 1_000) / 1_000.0).replace('−', '-'))
                .orElse("");
    }

    @Test
    void the_members_of_an_object_are_told_by_their_letter_case_and_placeholders_say_nothing() {
        StatusText read = StatusText.read("rssi=-73 rsrp=-103 rsrq=-11 rssnr=2147483647 cqi=2147483647 level=2\n"
                + "mOperatorAlphaLong=Tarnwave mBands=[20] mEarfcn=6300 mPci=88 mCi=27440068");
        assertEquals(
                "LTE, -\nprimary LTE B20 ch6300 pci88 id27440068 rssi-73 rsrp-103 rsrq-11",
                said(read),
                "nor is a number in a row of names that are not known taken for a figure");
    }

    @Test
    void nothing_that_is_pasted_can_hang_it() {
        Random random = new Random(5);
        List<String> words = List.of(
                "rsrp",
                "-97",
                "dBm",
                "(",
                "[",
                "<td>",
                "</td>",
                "\n",
                "\t",
                "|",
                "+",
                "B3",
                "20 MHz",
                "Band",
                ":",
                "=",
                "download",
                "Mbps",
                "ping",
                "ms",
                "neighbour",
                "SCC1",
                "<script>",
                "0x",
                "▂▄▆",
                "+CESQ: 1,2,3",
                "−",
                "\0");
        for (int i = 0; i < 300; i++) {
            StringBuilder text = new StringBuilder();
            for (int k = 0; k < 400; k++) {
                text.append(words.get(random.nextInt(words.size()))).append(random.nextInt(3) == 0 ? "" : " ");
            }
            assertTrue(StatusText.read(text.toString()).warnings().size() < 2_000);
        }
        for (String unit :
                List.of("(", "<a ", "rsrp ", "1,", "- ", "down ", "\"", "<script>", "B3+", "ping (", " ", "[0-")) {
            String long1 = unit.repeat(1_000_000 / unit.length());
            assertTimeoutPreemptively(Duration.ofSeconds(5), () -> StatusText.read(long1), unit);
        }
    }
}
