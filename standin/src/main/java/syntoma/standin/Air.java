package syntoma.standin;

import java.util.List;
import java.util.Random;
import syntoma.core.reading.Ceiling;
import syntoma.standin.air.AsBuilt;
import syntoma.standin.air.Channel;
import syntoma.standin.air.HeardCell;

/**
 * One sample of the air: what a device would report and what a run would bring. All values are deterministic from the random
 * source.
 *
 * @param cells in use, the primary one first
 */
public record Air(
        List<HeardCell> cells,
        double downMbps,
        double upMbps,
        double idleMs,
        double downLoadedMs,
        double upLoadedMs,
        double jitterMs,
        double lossPct) {
    /**
     * A device sends 23 dBm over the width of its channel, 6 dBm in each of the 50 blocks of 10 MHz; from where RSRP is x, with
     * what the mast radiates and 5 dB of its noise figure, x + 108 dB over noise is left at the mast.
     */
    private static final double UPLINK_DB = 108;

    private static final double UPLINK_MHZ = 10;

    private static final double LEAST_MHZ = 1.4;

    /** Through a booster what comes back is behind what came in. */
    private static final double UPLINK_BEHIND_DB = 3;

    /** How much of further streams' gain there is where the signal is scattered, and on one line. */
    private static final double STREAMS_IN_SCATTER = 0.35;

    private static final double STREAMS_IN_SIGHT = 0.1;

    /** A plan's limit wavers by so much. */
    private static final double LIMIT_WAVERS = 0.006;

    /** What a booster takes from the quality of what it hears. */
    private static final double BOOSTER_DB = 2;

    /** Takes a sample. */
    static Air sample(List<HeardCell> cells, AsBuilt setup, double limitMbps, Random random) {
        double down = 0;
        for (HeardCell h : cells) {
            down += down(h, setup);
        }
        HeardCell primary = cells.get(0);
        double sinr = sinr(primary, setup);
        double load = primary.load();
        double up = up(primary, setup);
        if (cells.get(cells.size() - 1).cell().isNr()) {
            up += up(cells.get(cells.size() - 1), setup);
        }
        down = Math.min(down, primary.cell().site().backhaulMbps() * (1 - load))
                * Math.exp(0.18 * random.nextGaussian());
        up *= Math.exp(0.16 * random.nextGaussian());
        down = limited(down, limitMbps, random);
        up = limited(up, limitMbps, random);
        double idle = 38 + 30 * load + Math.max(0, 6 - sinr) * 3 + 4 * Math.abs(random.nextGaussian());
        double queue = 40 + 160 * load + 240 / (1 + Math.max(0.2, up));
        double upLoaded = idle + queue * Math.exp(0.14 * random.nextGaussian());
        double downLoaded = idle + 0.7 * queue * Math.exp(0.14 * random.nextGaussian());
        double jitter = 3 + 14 * load * Math.abs(random.nextGaussian());
        double loss = Math.max(0, 0.6 * load + (sinr < 0 ? 1.5 : 0) + 0.2 * random.nextGaussian());
        return new Air(List.copyOf(cells), down, up, idle, downLoaded, upLoaded, jitter, loss);
    }

    private static double limited(double mbps, double limitMbps, Random random) {
        return mbps > limitMbps ? limitMbps * (1 + LIMIT_WAVERS * random.nextGaussian()) : mbps;
    }

    private static double sinr(HeardCell h, AsBuilt setup) {
        return setup.hasBooster() ? h.sinrDb() - BOOSTER_DB : h.sinrDb();
    }

    private static double down(HeardCell h, AsBuilt setup) {
        Channel channel = h.cell().channel();
        int first = Math.min(2, setup.streams());
        double further = h.cell().site().hasSight() ? STREAMS_IN_SIGHT : STREAMS_IN_SCATTER;
        double streams = 1 + further * Math.max(0, setup.streams() - 2) / 2;
        return Ceiling.DOWN.mbps(channel.widthMhz(), first, sinr(h, setup))
                * streams
                * channel.downShare()
                * (1 - h.load());
    }

    /** A device far out sends on part of the width alone, and so more strongly there. */
    private static double up(HeardCell h, AsBuilt setup) {
        Channel channel = h.cell().channel();
        double best = 0;
        for (double mhz : new double[] {channel.widthMhz(), 5, LEAST_MHZ}) {
            double atMast = setup.hasBooster()
                    ? sinr(h, setup) - UPLINK_BEHIND_DB
                    : h.rsrpDbm() + UPLINK_DB - 10 * Math.log10(mhz / UPLINK_MHZ);
            best = Math.max(best, Ceiling.UP.mbps(mhz, 1, atMast));
        }
        return best * channel.upShare() * (0.4 + 0.6 * (1 - h.load()));
    }

    /** The serving cell: the LTE anchor where there is NR. */
    public HeardCell primary() {
        return cells.get(0);
    }

    /** The mode as it is logged. */
    public String mode() {
        return cells.stream().anyMatch(h -> h.cell().isNr()) ? "NR-NSA" : "LTE";
    }
}
