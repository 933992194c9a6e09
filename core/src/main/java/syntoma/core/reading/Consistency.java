package syntoma.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import syntoma.core.unit.Values;

/**
 * Remarks on the values of one LTE reading that do not go together, or that say more together than alone.
 *
 * <p>By TS 36.214 5.1.3, RSRQ = 10 log10(N_RB) + RSRP − RSSI, over the measured resource blocks. An own cell alone gives
 * −3.0 dB when empty and −10.8 dB when fully loaded.
 *
 * <pre>{@code
 * Consistency.rsrqDb(-98, -70, 50) // -11.0
 * }</pre>
 */
public final class Consistency {
    /** Resource blocks of the narrowest and of the widest LTE channel (TS 36.101 5.6). */
    private static final int NARROWEST = 6;

    private static final int WIDEST = 100;
    /** Chosen, because the three values are rounded and not taken at quite the same moment. */
    private static final double SLACK_DB = 3;
    /** Just under what a fully loaded own cell gives, −10.8 dB. */
    private static final double LOADED_LIMIT_DB = -11;

    private Consistency() {}

    /** RSRQ in dB from RSRP and RSSI in dBm over a number of resource blocks (6 to 100). */
    public static double rsrqDb(double rsrpDbm, double rssiDbm, int resourceBlocks) {
        Values.within("resource blocks", resourceBlocks, NARROWEST, WIDEST, "");
        return 10 * Math.log10(resourceBlocks) + rsrpDbm - rssiDbm;
    }

    /** Remarks in plain sentences; empty when nothing stands out. Missing values give no remark. */
    public static List<String> remarks(OptionalDouble rssi, OptionalDouble rsrp, OptionalDouble rsrq) {
        List<String> remarks = new ArrayList<>();
        if (rssi.isPresent() && rsrp.isPresent() && rsrp.getAsDouble() > rssi.getAsDouble()) {
            remarks.add("RSRP cannot be above RSSI: one resource element holds less power than the whole channel. "
                    + "Are the two swapped?");
        } else if (rssi.isPresent() && rsrp.isPresent() && rsrq.isPresent()) {
            double narrow = rsrqDb(rsrp.getAsDouble(), rssi.getAsDouble(), NARROWEST);
            double wide = rsrqDb(rsrp.getAsDouble(), rssi.getAsDouble(), WIDEST);
            if (rsrq.getAsDouble() < narrow - SLACK_DB || rsrq.getAsDouble() > wide + SLACK_DB) {
                remarks.add("RSRQ does not follow from RSRP and RSSI on any bandwidth: it would lie between "
                        + Values.round(narrow, 1) + " and " + Values.round(wide, 1) + " dB.");
            }
        }
        if (rsrq.isPresent() && rsrq.getAsDouble() < LOADED_LIMIT_DB) {
            remarks.add("RSRQ is below −11 dB, lower than a busy cell alone can make it: other cells or noise are heard"
                    + " as well.");
        }
        return List.copyOf(remarks);
    }
}
