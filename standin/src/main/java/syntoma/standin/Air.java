package syntoma.standin;

import java.util.Random;
import syntoma.core.reading.Ceiling;

/**
 * One sample of the air: what a device would report and what a run would bring. All values are deterministic from the
 * random source.
 *
 * @param served whether there is service at all
 */
public record Air(
        boolean served,
        double rsrpDbm,
        double rsrqDb,
        double sinrDb,
        double downMbps,
        double upMbps,
        double idleMs,
        double downLoadedMs,
        double upLoadedMs,
        double jitterMs,
        double lossPct) {

    private static final double NOISE_PER_ELEMENT_DBM = -125;
    private static final double FLOOR_DBM = -124;
    private static final double BEST_SINR_DB = 27;

    /**
     * Takes a sample.
     *
     * @param levelDbm true level at the device before fading
     * @param fadeDb slow fading
     * @param load share of the cell taken by others
     * @param capMbps what the plan allows down, or infinity
     */
    static Air sample(
            Mast mast, double levelDbm, double fadeDb, double load, int layers, double capMbps, Random random) {
        double rsrp = levelDbm + fadeDb + 1.5 * random.nextGaussian();
        double sinr = Math.min(BEST_SINR_DB, rsrp - NOISE_PER_ELEMENT_DBM - 4 - 5 * load + 0.8 * random.nextGaussian());
        double rsrq = Math.max(-19, -6.5 - 4.3 * load - Math.max(0, 8 - sinr) * 0.5 + 0.5 * random.nextGaussian());
        double free = 1 - load;
        double down =
                Ceiling.DOWN.mbps(mast.bandwidthMhz(), layers, sinr) * free * Math.exp(0.18 * random.nextGaussian());
        double up = Ceiling.UP.mbps(mast.bandwidthMhz(), 1, sinr - 3)
                * (0.4 + 0.6 * free)
                * Math.exp(0.16 * random.nextGaussian());
        if (down > capMbps) {
            down = capMbps * (1 + 0.006 * random.nextGaussian());
        }
        double idle = 38 + 30 * load + Math.max(0, 6 - sinr) * 3 + 4 * Math.abs(random.nextGaussian());
        double queue = 40 + 160 * load + 240 / (1 + Math.max(0.2, up));
        double upLoaded = idle + queue * Math.exp(0.14 * random.nextGaussian());
        double downLoaded = idle + 0.7 * queue * Math.exp(0.14 * random.nextGaussian());
        double jitter = 3 + 14 * load * Math.abs(random.nextGaussian());
        double loss = Math.max(0, 0.6 * load + (sinr < 0 ? 1.5 : 0) + 0.2 * random.nextGaussian());
        return new Air(
                rsrp > FLOOR_DBM && sinr > -8, rsrp, rsrq, sinr, down, up, idle, downLoaded, upLoaded, jitter, loss);
    }
}
