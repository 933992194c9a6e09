package syntoma.core.propagation;

/**
 * What an antenna gains by standing higher, as an estimate: the slope of Hata's correction for the height of the mobile
 * antenna, (1.1 log₁₀ f − 0.7) dB per m with f in MHz (Hata 1980, small and medium towns; fitted for 1 to 10 m and 150 to
 * 1500 MHz, used above as the COST 231 extension does). Half of it either way is its interval.
 */
public final class HeightGain {
    private static final double PER_DECADE = 1.1;
    private static final double OFFSET = 0.7;

    private HeightGain() {}

    /** Gain in dB for so many metres more. */
    public static double db(double mhz, double moreM) {
        return (PER_DECADE * Math.log10(mhz) - OFFSET) * moreM;
    }
}
