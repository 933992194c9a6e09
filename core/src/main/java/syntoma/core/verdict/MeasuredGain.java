package syntoma.core.verdict;

import java.util.OptionalDouble;
import syntoma.core.unit.Values;

/**
 * What a setup's RSRP was measured to be against another's on one band, beside what its chain is predicted to bring.
 *
 * @param predictedDb empty where a sheet leaves it open
 * @param halfWidthDb of the prediction's interval
 * @param comparison the paired differences, in dB
 */
public record MeasuredGain(String band, OptionalDouble predictedDb, double halfWidthDb, Comparison comparison) {
    /** How far below its prediction a chain counts as faulty (docs/methods.md#3-chain). */
    public static final double FAULT_DB = 6;

    /** What it then usually is, the commonest first. */
    public static final String USUAL_CAUSES =
            "Check in this order: a lead on a Wi-Fi or GNSS port; one of two leads off; RP-SMA on SMA, so the pins do not"
                    + " touch; the wrong port with a single lead; a bad crimp, or water in it; the antenna next to"
                    + " metal; the device still set to its own antennas.";

    /** Whether all of the measured interval lies so far beneath the prediction that something is not doing its job. */
    public boolean fallsShort() {
        return predictedDb.isPresent()
                && comparison.high().isPresent()
                && comparison.high().getAsDouble() < predictedDb.getAsDouble() - FAULT_DB;
    }

    /** What the two say together, as a sentence. */
    public String sentence() {
        if (comparison.rounds().isEmpty()) {
            return "not measured side by side";
        }
        String blocks = comparison.rounds().size() + (comparison.rounds().size() == 1 ? " time" : " times");
        if (comparison.low().isEmpty()) {
            return "measured side by side " + blocks + "; from three on it can be said";
        }
        if (predictedDb.isEmpty()) {
            return "measured side by side " + blocks + "; nothing is predicted";
        }
        if (fallsShort()) {
            return "something in this chain is faulty: at least "
                    + Values.round(predictedDb.getAsDouble() - comparison.high().getAsDouble(), 0)
                    + " dB less than predicted, measured side by side " + blocks;
        }
        boolean apart = comparison.low().getAsDouble() > predictedDb.getAsDouble() + halfWidthDb
                || comparison.high().getAsDouble() < predictedDb.getAsDouble() - halfWidthDb;
        return (apart ? "other than predicted" : "as predicted") + ", measured side by side " + blocks;
    }
}
