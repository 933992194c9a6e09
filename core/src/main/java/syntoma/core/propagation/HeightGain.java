package syntoma.core.propagation;

import syntoma.core.unit.Values;

/**
 * What an antenna gains by standing higher, as an estimate: 20 log₁₀(h₂/h₁) with heights over ground, the two-ray model over
 * plane earth beyond its break point (Rappaport 2002, section 4.6), at most {@value #MOST_DB} dB. In woods or behind a ridge
 * it may be nothing or much more.
 *
 * <pre>{@code
 * HeightGain.db(2.86, 5.86) // 6.23
 * HeightGain.db(2, 20)      // 12.0
 * }</pre>
 */
public final class HeightGain {
    /** More is never promised. */
    public static final double MOST_DB = 12;

    private HeightGain() {}

    /**
     * Gain in dB, of a loss too.
     *
     * @param fromM height over ground in m, above 0
     * @param toM the other height over ground in m, above 0
     * @throws IllegalArgumentException when a height is not above 0
     */
    public static double db(double fromM, double toM) {
        Values.within("height over ground", fromM, Double.MIN_VALUE, Double.MAX_VALUE, "m");
        Values.within("height over ground", toM, Double.MIN_VALUE, Double.MAX_VALUE, "m");
        return Math.min(MOST_DB, 20 * Math.log10(toM / fromM));
    }
}
