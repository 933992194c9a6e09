package syntoma.core.propagation;

import syntoma.core.unit.Values;

/**
 * Free-space path loss (ITU-R P.525).
 *
 * <pre>{@code
 * FreeSpace.lossDb(0.003, 800) // 40.05
 * FreeSpace.lossDb(6, 800)     // 106.07
 * }</pre>
 */
public final class FreeSpace {
    private FreeSpace() {}

    /**
     * Loss in dB = 32.45 + 20 log₁₀ d + 20 log₁₀ f, d in km, f in MHz; holds in the far field. 3 m at 800 MHz: 40.05 dB.
     *
     * @throws IllegalArgumentException when distance or frequency is not above 0
     */
    public static double lossDb(double km, double mhz) {
        Values.within("distance", km, Double.MIN_VALUE, 1e6, "km");
        Values.within("frequency", mhz, Double.MIN_VALUE, 1e6, "MHz");
        return 32.45 + 20 * Math.log10(km) + 20 * Math.log10(mhz);
    }
}
