package syntoma.core.diagnosis;

import java.util.List;
import java.util.OptionalDouble;
import syntoma.core.reading.Ceiling;

/** A clean signal that brings less than a quarter of what it could (docs/methods.md#11-diagnosis). */
final class CleanAndSlow {
    private static final double QUARTER = 0.25;
    private static final double CLEAN_DB = 10;

    /**
     * The log does not say how wide a cell is. What is slow even for the narrowest that carriers commonly use is slow whatever it is;
     * a narrow one that does what it can is not.
     */
    private static final double NARROW_MHZ = 5;

    private static final int USUAL_LAYERS = 2;

    private CleanAndSlow() {}

    static boolean is(List<ObservedRun> runs, Situation s) {
        OptionalDouble down = Situation.median(runs, ObservedRun::downMbps);
        OptionalDouble sinr = Situation.median(runs, ObservedRun::sinrDb);
        boolean flat = runs.stream().filter(ObservedRun::isFlatDown).count() * 2 > runs.size();
        return down.isPresent()
                && sinr.isPresent()
                && sinr.getAsDouble() >= CLEAN_DB
                && !flat
                && down.getAsDouble() < QUARTER * ceilingMbps(s, sinr.getAsDouble());
    }

    /** What a signal would carry at least. */
    static double ceilingMbps(Situation s, double sinrDb) {
        int layers = Math.max(1, Math.min(USUAL_LAYERS, s.chain().streams().orElse(USUAL_LAYERS)));
        return Ceiling.DOWN.mbps(NARROW_MHZ, layers, sinrDb);
    }
}
