package syntoma.core.advice;

/**
 * How much figures scatter, as variances on the scale of the figure: the natural logarithm of a speed or latency, or dB.
 *
 * @param site between campsites, beyond what the level explains
 * @param stay between stays at one campsite
 * @param setupHere of what a setup does at one campsite, against what it does everywhere
 * @param partOfDay of what a part of the day is like at one campsite, against all
 * @param visit between visits of one setup in one part of the day of a stay
 * @param run between the runs of one visit
 */
record Spreads(double site, double stay, double setupHere, double partOfDay, double visit, double run) {
    static final int COUNT = 6;

    /**
     * Of speeds, before a log says otherwise: 0.20 from visit to visit and 0.30 from run to run (docs/methods.md#8-trial-design); between places
     * the half of a doubling that the level leaves open, chosen.
     */
    static final Spreads OF_SPEEDS = ofDeviations(0.50, 0.15, 0.25, 0.20, 0.20, 0.30);

    /** Of latencies under load, chosen: they differ less between places, and more from run to run. */
    static final Spreads OF_LATENCIES = ofDeviations(0.35, 0.15, 0.15, 0.20, 0.20, 0.30);

    /** Of levels in dB: places by 12 dB, slow fading by 3 dB, a reading by 1.5 dB (docs/methods.md#18-stand-in-world). */
    static final Spreads OF_LEVELS = ofDeviations(12, 3, 3, 0.5, 2.5, 1.5);

    /** Of SINR in dB beyond what the level says, chosen: another mast on the channel makes a place worse by so much. */
    static final Spreads OF_QUALITY = ofDeviations(5, 2, 2, 1, 1.5, 2);

    private static Spreads ofDeviations(
            double site, double stay, double setupHere, double partOfDay, double visit, double run) {
        return new Spreads(
                site * site, stay * stay, setupHere * setupHere, partOfDay * partOfDay, visit * visit, run * run);
    }

    /** The same with one of them so many times as large. */
    Spreads times(int which, double factor) {
        return new Spreads(
                which == 0 ? site * factor : site,
                which == 1 ? stay * factor : stay,
                which == 2 ? setupHere * factor : setupHere,
                which == 3 ? partOfDay * factor : partOfDay,
                which == 4 ? visit * factor : visit,
                which == 5 ? run * factor : run);
    }

    double at(int which) {
        return switch (which) {
            case 0 -> site;
            case 1 -> stay;
            case 2 -> setupHere;
            case 3 -> partOfDay;
            case 4 -> visit;
            default -> run;
        };
    }

    /** The variance of the mean of so many runs of one visit about what its stay is. */
    double ofCell(double runs) {
        return setupHere + partOfDay + visit + run / runs;
    }
}
