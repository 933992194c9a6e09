package syntoma.core.booster;

import syntoma.core.propagation.FreeSpace;

/**
 * The gain a booster can hold without ringing: its two antennas hear each other, and what comes back must stay weaker than
 * what went in. Isolation = path loss between them + shielding − the gain of each toward the other; the largest stable gain
 * leaves {@value #MARGIN_DB} dB.
 *
 * <pre>{@code
 * UsableGain between = new UsableGain(3, 15, 0, 0);
 * between.isolationDb(800) // 55.05
 * between.db(65, 800)      // 45.05
 * }</pre>
 *
 * @param separationM between the two antennas, at least 0.3 m
 * @param shieldingDb of shell or roof between them
 * @param donorTowardDb gain of the outside antenna toward the inside one; 10 dB under its full gain when back to back
 * @param indoorTowardDb gain of the inside antenna toward the outside one
 */
public record UsableGain(double separationM, double shieldingDb, double donorTowardDb, double indoorTowardDb) {
    /** Kept between isolation and gain. */
    public static final double MARGIN_DB = 10;
    /** What an antenna loses toward one in its back. */
    public static final double BACK_DB = 10;

    private static final double LEAST_SEPARATION_M = 0.3;

    /** Isolation in dB at a frequency in MHz. */
    public double isolationDb(double mhz) {
        return FreeSpace.lossDb(Math.max(LEAST_SEPARATION_M, separationM) / 1000, mhz)
                + shieldingDb
                - donorTowardDb
                - indoorTowardDb;
    }

    /** The rated gain, or as much of it as is stable. */
    public double db(double ratedDb, double mhz) {
        return Math.min(ratedDb, isolationDb(mhz) - MARGIN_DB);
    }
}
