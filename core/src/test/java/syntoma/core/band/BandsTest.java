package syntoma.core.band;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BandsTest {
    @Test
    void channel_1300_is_band_3_at_1815_down_and_1720_up() {
        Channel channel = Channels.earfcn(1300);
        assertEquals("B3", channel.band().orElseThrow().name());
        assertEquals(1815.0, channel.downlinkMhz());
        assertEquals(Optional.of(1720.0), channel.uplinkMhz());
    }

    @ParameterizedTest
    @CsvSource({
        "0, B1, 2110.0, 1920.0",
        "599, B1, 2169.9, 1979.9",
        "6300, B20, 806.0, 847.0",
        "24300, B20, 806.0, 847.0",
        "3100, B7, 2655.0, 2535.0",
        "9410, B28, 778.0, 723.0",
        "37750, B38, 2570.0, 2570.0",
        "39650, B41, 2496.0, 2496.0",
        "9760, B29, 727.0,",
        "67085, B66, 2174.9, 1774.9",
        "67300, B66, 2196.4,",
        "68586, B71, 617.0, 663.0"
    })
    void lte_channels_follow_the_raster(int number, String band, double down, Double up) {
        Channel channel = Channels.earfcn(number);
        assertEquals(band, channel.band().orElseThrow().name());
        assertEquals(down, channel.downlinkMhz(), 1e-9);
        assertEquals(Optional.ofNullable(up), channel.uplinkMhz());
    }

    @Test
    void an_nr_number_never_guesses_between_overlapping_bands() {
        Channel channel = Channels.nrarfcn(640000);
        assertEquals(3600.0, channel.downlinkMhz(), 1e-9);
        assertTrue(channel.band().isEmpty());
        assertTrue(channel.uplinkMhz().isEmpty());
        assertEquals(
                List.of("n48", "n77", "n78"),
                channel.candidates().stream().map(Band::name).toList());
        Channel settled = Channels.nrarfcn(640000, Bands.of("n78"));
        assertEquals("n78", settled.band().orElseThrow().name());
        assertEquals(Optional.of(3600.0), settled.uplinkMhz());
    }

    @ParameterizedTest
    @CsvSource({"152600, n28, 763.0, 708.0", "430000, n1, 2150.0, 1960.0", "161200, n20, 806.0, 847.0"})
    void nr_pairs_its_spans_by_the_default_spacing(int number, String band, double down, double up) {
        Channel channel = Channels.nrarfcn(number, Bands.of(band));
        assertEquals(down, channel.downlinkMhz(), 1e-9);
        assertEquals(up, channel.uplinkMhz().orElseThrow(), 1e-9);
    }

    @Test
    void the_nr_raster_changes_step_at_3_and_24_25_ghz() {
        assertTrue(message(() -> Channels.nrarfcn(599999)).contains("2999.995 MHz"));
        assertEquals(3600.0, Channels.nrarfcn(640000).downlinkMhz(), 1e-9);
        assertEquals(24250.08, Channels.nrarfcn(2016667).downlinkMhz(), 1e-9);
        assertEquals(27000.12, Channels.nrarfcn(2062501).downlinkMhz(), 1e-9);
    }

    @Test
    void the_lte_table_is_whole_and_its_channel_numbers_do_not_overlap() {
        List<Bands.Eutra> rows = Bands.eutra();
        assertEquals(72, rows.size());
        for (int i = 1; i < rows.size(); i++) {
            Bands.Eutra before = rows.get(i - 1);
            assertTrue(
                    before.firstDownlink() + before.channels() <= rows.get(i).firstDownlink(),
                    () -> before.band().name() + " runs into its neighbour");
        }
        rows.stream().filter(r -> r.band().duplex() == Duplex.TDD).forEach(r -> {
            assertEquals(r.band().uplink().orElseThrow(), r.band().downlink());
            assertEquals(r.firstUplink().orElseThrow(), r.firstDownlink());
        });
    }

    @Test
    void every_band_has_a_downlink_and_sdl_bands_no_uplink() {
        for (Band band : Bands.all()) {
            assertEquals(band.duplex() == Duplex.SDL, band.uplink().isEmpty(), band.name());
            assertEquals(band, Bands.of(band.name().toLowerCase(Locale.ROOT)));
        }
    }

    @Test
    void unknown_names_and_numbers_are_refused_in_words() {
        assertTrue(message(() -> Bands.of("B15")).contains("“B15”"));
        assertTrue(message(() -> Bands.of("n80")).contains("supplementary uplink"));
        assertTrue(message(() -> Bands.of(" ")).contains("no band"));
        assertTrue(message(() -> Channels.earfcn(7400)).contains("7400"));
        assertTrue(message(() -> Channels.nrarfcn(-1)).contains("0 to 3279165"));
        assertTrue(message(() -> Channels.nrarfcn(620000, Bands.of("n41"))).contains("not in the downlink"));
    }

    private static String message(org.junit.jupiter.api.function.Executable call) {
        return assertThrows(IllegalArgumentException.class, call).getMessage();
    }

    /** Band 32 has no uplink: what misses its downlink has nothing of it, and is not "uplink only". */
    @Test
    void a_band_without_an_uplink_that_is_missed_has_no_downlink() {
        Band sdl = Bands.of("B32");
        Coverage missed = Coverage.of(
                sdl,
                List.of(LinkShare.of("Bittern", sdl, List.of(new Span(1805, 1880)), List.of(new Span(1710, 1785)))));
        assertEquals(Coverage.Result.NOT_COVERED, missed.result());
        assertEquals("no downlink on B32: Bittern has no downlink here", missed.sentence());
        Coverage heard =
                Coverage.of(sdl, List.of(LinkShare.of("Alder", sdl, List.of(new Span(1400, 2700)), List.of())));
        assertEquals(Coverage.Result.WORKS, heard.result());
    }
}
