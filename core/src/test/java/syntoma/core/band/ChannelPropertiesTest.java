package syntoma.core.band;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/** What holds for every channel number of the two rasters. */
class ChannelPropertiesTest {
    @Property
    void an_eutra_channel_lies_in_its_band_and_the_next_is_100_khz_further(
            @ForAll @IntRange(min = 0, max = 10_000) int number) {
        Assume.that(known(number) && known(number + 1));
        Channel channel = Channels.earfcn(number);
        Channel next = Channels.earfcn(number + 1);
        Band band = channel.band().orElseThrow();
        assertTrue(band.downlink().contains(channel.downlinkMhz()), band.name());
        if (next.band().equals(channel.band())) {
            assertEquals(0.1, next.downlinkMhz() - channel.downlinkMhz(), 1e-6);
        }
        channel.uplinkMhz()
                .ifPresent(up -> assertTrue(band.uplink().orElseThrow().contains(up)));
    }

    private static boolean known(int number) {
        try {
            Channels.earfcn(number);
            return true;
        } catch (IllegalArgumentException none) {
            return false;
        }
    }

    @Property
    void an_nr_channel_lies_in_all_its_candidates_and_the_raster_has_no_gap(
            @ForAll @IntRange(min = 0, max = 3) int range, @ForAll @IntRange(min = 0, max = 8_000) int offset) {
        // inside n28, n1, n41 and n78
        int number = new int[] {151_600, 422_000, 499_200, 620_000}[range] + offset;
        Channel channel = Channels.nrarfcn(number);
        double step = Channels.nrarfcn(number + 1).downlinkMhz() - channel.downlinkMhz();
        assertEquals(number < 600_000 ? 0.005 : 0.015, step, 1e-6);
        for (Band band : channel.candidates()) {
            assertTrue(band.downlink().contains(channel.downlinkMhz()), band.name());
        }
        assertTrue(channel.band().isEmpty() || channel.candidates().size() == 1);
    }
}
