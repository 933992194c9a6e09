package syntoma.core.booster;

import java.util.OptionalDouble;
import syntoma.core.propagation.FreeSpace;
import syntoma.core.unit.Values;

/**
 * What a booster does from where its two antennas stand, on one band (§4): how much of its gain is stable, what that gives inside,
 * how far it reaches, and how much further apart its antennas would have to be.
 *
 * <pre>{@code
 * BoosterPlacing placing = new BoosterPlacing(new UsableGain(3, 15, 0, 0), 65, OptionalDouble.empty(), 5, 3, 800, 10);
 * placing.stableGainDb() // 45.05
 * placing.fullGainAtM()  // 29.8
 * placing.shortM()       // 26.8
 * }</pre>
 *
 * @param between of the two antennas, as they hear each other
 * @param ratedGainDb of the booster
 * @param ratedOutputDbm toward the inside, over the whole channel; empty where the sheet does not say
 * @param donorGainDb of the antenna outside, less its cable
 * @param indoorGainDb of the antenna inside
 * @param mhz of the downlink
 * @param bandwidthMhz of the channel
 */
public record BoosterPlacing(
        UsableGain between,
        double ratedGainDb,
        OptionalDouble ratedOutputDbm,
        double donorGainDb,
        double indoorGainDb,
        double mhz,
        double bandwidthMhz) {
    /** What a phone should find inside, in dBm RSRP. */
    public static final double USUAL_TARGET_DBM = -100;

    /** Nobody stands nearer. */
    private static final double NEAREST_M = 0.3;

    /** Further than that no vehicle is long. */
    private static final double FURTHEST_M = 10;

    /** Subcarriers of a resource block, and resource blocks of a MHz of an LTE channel of 5 MHz or more. */
    private static final double SUBCARRIERS = 12;

    private static final double BLOCKS_PER_MHZ = 5;

    /** Under these at the donor antenna there is nothing to boost. */
    public static final double LEAST_RSRP_DBM = -125;

    public static final double LEAST_SINR_DB = -6;

    /**
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    public BoosterPlacing {
        Values.within("gain", ratedGainDb, 1, 110, "dB");
        Values.within("frequency", mhz, 100, 50_000, "MHz");
        Values.within("bandwidth", bandwidthMhz, 1.4, 400, "MHz");
    }

    public double isolationDb() {
        return between.isolationDb(mhz);
    }

    /** The largest gain that does not ring. */
    public double stableGainDb() {
        return isolationDb() - UsableGain.MARGIN_DB;
    }

    public double usableGainDb() {
        return between.db(ratedGainDb, mhz);
    }

    /** How far apart the antennas have to be for all of the rated gain, in m, everything else as it is. */
    public double fullGainAtM() {
        double lossDb = ratedGainDb
                + UsableGain.MARGIN_DB
                - between.shieldingDb()
                + between.donorTowardDb()
                + between.indoorTowardDb();
        return 1_000 * Math.pow(10, (lossDb - FreeSpace.lossDb(1, mhz)) / 20);
    }

    /** How much that is further than now, in m; 0 where they are far enough apart. */
    public double shortM() {
        return stableGainDb() >= ratedGainDb ? 0 : Math.max(0, fullGainAtM() - between.separationM());
    }

    /**
     * The level at the indoor antenna for each resource element, in dBm, with its gain: what comes in and is boosted, no more than the
     * booster can put out.
     */
    public double radiatedDbm(double donorRsrpDbm) {
        double boosted = donorRsrpDbm + donorGainDb + Math.max(0, usableGainDb());
        double most = ratedOutputDbm.isPresent()
                ? ratedOutputDbm.getAsDouble() - 10 * Math.log10(SUBCARRIERS * BLOCKS_PER_MHZ * bandwidthMhz)
                : Double.POSITIVE_INFINITY;
        return Math.min(boosted, most) + indoorGainDb;
    }

    /** Within how far a phone finds the target, in m, at most {@value #FURTHEST_M}; 0 where it is nowhere. */
    public double radiusM(double donorRsrpDbm, double targetDbm) {
        double metres = 1_000 * Math.pow(10, (radiatedDbm(donorRsrpDbm) - targetDbm - FreeSpace.lossDb(1, mhz)) / 20);
        return metres < NEAREST_M ? 0 : Math.min(FURTHEST_M, metres);
    }

    /** Whether there is anything to boost. */
    public static boolean hasSignal(double donorRsrpDbm, double donorSinrDb) {
        return donorRsrpDbm >= LEAST_RSRP_DBM && donorSinrDb >= LEAST_SINR_DB;
    }
}
