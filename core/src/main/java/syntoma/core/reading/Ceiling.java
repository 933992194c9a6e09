package syntoma.core.reading;

import syntoma.core.unit.Values;

/**
 * The rate that a carrier can reach at an SINR: bandwidth × layers × min(cap, k·log2(1 + SINR)), nothing below −10 dB
 * (3GPP TR 36.942 A.1). 20 MHz with 2 layers at 12 dB gives 97.8 Mb/s down. For TDD the result is still to be multiplied
 * by the share of the direction.
 *
 * <pre>{@code
 * Ceiling.DOWN.mbps(20, 2, 12) // 97.8
 * }</pre>
 */
public enum Ceiling {
    DOWN(0.6, 4.4),
    UP(0.4, 2.0);

    /** Below this SINR nothing gets through (TR 36.942 A.1). */
    private static final double LEAST_SINR_DB = -10;

    private final double attenuation;
    private final double cap;

    Ceiling(double attenuation, double cap) {
        this.attenuation = attenuation;
        this.cap = cap;
    }

    /**
     * The ceiling in Mb/s.
     *
     * @param bandwidthMhz 1.4 to 400
     * @param layers 1 to 8
     */
    public double mbps(double bandwidthMhz, int layers, double sinrDb) {
        Values.within("bandwidth", bandwidthMhz, 1.4, 400, "MHz");
        Values.within("layers", layers, 1, 8, "");
        if (sinrDb < LEAST_SINR_DB) {
            return 0;
        }
        double efficiency = attenuation * Math.log1p(Math.pow(10, sinrDb / 10)) / Math.log(2);
        return bandwidthMhz * layers * Math.min(cap, efficiency);
    }
}
