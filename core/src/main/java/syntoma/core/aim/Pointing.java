package syntoma.core.aim;

import syntoma.core.unit.Values;

/**
 * Two antennas swept at one place: what one has over the other on its mark, and where it is aimed badly.
 *
 * @param onMarkDb by how much the first is ahead, each at its best heading
 * @param offMarkDb the same with the first so far beside its mark, the second as it is
 */
public record Pointing(String one, String other, double onMarkDb, double offMarkDb) {
    /** How far beside the mark hands may well leave it. */
    public static final double OFF_DEG = 35;

    /** Under such a difference neither is ahead. */
    private static final double MATTERS_DB = 2;

    public static Pointing of(String one, Sweep.Result ofOne, String other, Sweep.Result ofOther) {
        double otherDb = ofOther.offBy(0);
        double off = Math.min(ofOne.offBy(OFF_DEG), ofOne.offBy(-OFF_DEG));
        return new Pointing(one, other, ofOne.offBy(0) - otherDb, off - otherDb);
    }

    /** Both in a sentence. */
    public String sentence() {
        return "On the mark " + one + " " + differenceText(onMarkDb) + " " + other + "; " + Math.round(OFF_DEG)
                + "° off it " + differenceText(offMarkDb) + ".";
    }

    private static String differenceText(double db) {
        if (Math.abs(db) < MATTERS_DB) {
            return "does as well as";
        }
        return "is " + Values.round(Math.abs(db), 1) + " dB " + (db > 0 ? "ahead of" : "behind");
    }
}
