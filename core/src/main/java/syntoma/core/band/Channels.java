package syntoma.core.band;

import java.util.List;
import java.util.Optional;
import syntoma.core.band.Band.Technology;
import syntoma.core.unit.Values;

/**
 * Channel numbers to frequencies.
 *
 * <p>E-UTRA (TS 36.101 5.7.3): F_DL = F_DL_low + 0.1 (N_DL − N_offs,DL) MHz; 1300 is band 3, 1815.0 MHz down, 1720.0 up.
 * NR (TS 38.104 5.4.2.1): F = F_offs + ΔF (N − N_offs). An NR number fixes the frequency, not the band, where bands
 * overlap; no band is guessed.
 *
 * <pre>{@code
 * Channels.earfcn(1300).downlinkMhz() // 1815.0
 * Channels.earfcn(1300).uplinkMhz()   // 1720.0
 * Channels.nrarfcn(620000).downlinkMhz() // 3300.0
 * }</pre>
 */
public final class Channels {
    private static final int LAST_NR = 3279165;

    private Channels() {}

    /**
     * The channel of an E-UTRA number, downlink or uplink.
     *
     * @throws IllegalArgumentException when no band has the number
     */
    public static Channel earfcn(int number) {
        for (Bands.Eutra row : Bands.eutra()) {
            int index = number - row.firstDownlink();
            if (index >= 0 && index < row.channels()) {
                return pair(row, index);
            }
            if (row.firstUplink().isPresent()) {
                index = number - row.firstUplink().get();
                if (index >= 0 && index < row.uplinkChannels()) {
                    return pair(row, index);
                }
            }
        }
        throw new IllegalArgumentException(
                "no LTE band has channel number " + number + "; see 3GPP TS 36.101 table 5.7.3-1 (0 to 134441)");
    }

    /**
     * The channel of an NR number; the band is settled when one band alone holds the frequency.
     *
     * @throws IllegalArgumentException when the number is outside 0 to 3279165 or in no band
     */
    public static Channel nrarfcn(int number) {
        double mhz = nrMhz(number);
        List<Band> candidates = candidates(mhz);
        if (candidates.isEmpty()) {
            throw new IllegalArgumentException("NR channel number " + number + " is " + Values.round(mhz, 3)
                    + " MHz, which lies in the downlink of no NR band");
        }
        return candidates.size() == 1
                ? settle(candidates.get(0), candidates, mhz)
                : new Channel(Optional.empty(), candidates, mhz, Optional.empty());
    }

    /**
     * The channel of an NR number in a band that is known.
     *
     * @throws IllegalArgumentException when the band is no NR band or does not hold the frequency
     */
    public static Channel nrarfcn(int number, Band band) {
        double mhz = nrMhz(number);
        if (band.rat() != Technology.NR || !band.downlink().contains(mhz)) {
            throw new IllegalArgumentException("NR channel number " + number + " is " + Values.round(mhz, 3)
                    + " MHz, which is not in the downlink of band " + band.name());
        }
        return settle(band, candidates(mhz), mhz);
    }

    private static double nrMhz(int n) {
        Values.within("nrarfcn", n, 0, LAST_NR, "");
        if (n < 600000) {
            return n * 5 / 1000.0;
        }
        if (n < 2016667) {
            return 3000 + (n - 600000) * 15 / 1000.0;
        }
        return 24250.08 + (n - 2016667) * 60 / 1000.0;
    }

    private static List<Band> candidates(double mhz) {
        return Bands.all().stream()
                .filter(b -> b.rat() == Technology.NR && b.downlink().contains(mhz))
                .toList();
    }

    private static Channel settle(Band band, List<Band> candidates, double mhz) {
        Optional<Double> uplink = band.uplink().flatMap(span -> {
            if (band.duplex() == Duplex.TDD) {
                return Optional.of(mhz);
            }
            // TS 38.101-1 5.4.4: the default spacing is that of the lower edges; where the spans differ in width and
            // the
            // partner falls outside, the spacing is the network's choice.
            double partner = mhz - band.downlink().loMhz() + span.loMhz();
            boolean free = span.hiMhz() - span.loMhz()
                            > band.downlink().hiMhz() - band.downlink().loMhz()
                    || band.name().matches("n9[1-4]|n109|n110|n51[0-2]");
            return span.contains(partner) && !free ? Optional.of(round(partner)) : Optional.empty();
        });
        return new Channel(Optional.of(band), candidates, mhz, uplink);
    }

    private static Channel pair(Bands.Eutra row, int index) {
        Band band = row.band();
        Optional<Double> uplink = index < row.uplinkChannels()
                ? band.uplink().map(u -> round(u.loMhz() + index / 10.0))
                : Optional.empty();
        return new Channel(
                Optional.of(band), List.of(band), round(band.downlink().loMhz() + index / 10.0), uplink);
    }

    private static double round(double mhz) {
        return Math.round(mhz * 1000) / 1000.0;
    }
}
