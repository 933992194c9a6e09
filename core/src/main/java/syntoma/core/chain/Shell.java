package syntoma.core.chain;

import syntoma.core.unit.Labels;

/**
 * What the vehicle's body takes from a signal on its way in: an estimate by material and by low (below 1000 MHz), mid (to
 * 2300 MHz) and high band, ± {@value #HALF_WIDTH_DB} dB. At a window 6 dB less, at least 0.
 */
public enum Shell {
    STEEL("steel", 12, 15, 18, true),
    ALUMINIUM("aluminium", 15, 18, 22, true),
    GRP("GRP or wood", 2, 4, 6, false);

    /** Half the width of the interval of the estimate, in dB. */
    public static final double HALF_WIDTH_DB = 4;

    /** How much less of the shell is in the way at a window, an estimate. */
    private static final double WINDOW_DB = 6;
    /** Where the middle and the high bands begin: chosen between the bands in use, which leave gaps there. */
    private static final double MID_FROM_MHZ = 1000;

    private static final double HIGH_FROM_MHZ = 2300;

    private final String label;
    private final double low;
    private final double mid;
    private final double high;
    private final boolean metal;

    Shell(String label, double low, double mid, double high, boolean metal) {
        this.label = label;
        this.low = low;
        this.mid = mid;
        this.high = high;
        this.metal = metal;
    }

    public String label() {
        return label;
    }

    /** Whether the roof serves as a ground plane and holds a magnet of steel. */
    public boolean isMetal() {
        return metal;
    }

    /** Loss in dB at a frequency in MHz for something placed inside or at a window; 0 outside. */
    public double lossDb(double mhz, Placement placement) {
        if (!placement.isBehindShell()) {
            return 0;
        }
        double inside = mhz < MID_FROM_MHZ ? low : mhz < HIGH_FROM_MHZ ? mid : high;
        return placement == Placement.WINDOW ? Math.max(0, inside - WINDOW_DB) : inside;
    }

    /**
     * The shell of a label.
     *
     * @throws IllegalArgumentException naming the text and the labels there are
     */
    public static Shell fromLabel(String text) {
        return Labels.find("body", text, values(), Shell::label);
    }
}
