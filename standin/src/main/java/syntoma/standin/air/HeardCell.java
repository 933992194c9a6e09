package syntoma.standin.air;

/**
 * A cell as the device hears it at one moment.
 *
 * @param load how much of it others take
 */
public record HeardCell(Cell cell, double rsrpDbm, double rsrqDb, double sinrDb, double load) {
    /** Thermal noise of one resource element, −132 dBm, and 7 dB of the receiver's own. */
    static final double NOISE_DBM = -125;

    /** What a real receiver is behind an ideal one, and the best that it tells. */
    private static final double BEHIND_DB = 3;

    private static final double BEST_SINR_DB = 27;
    private static final double WORST_RSRQ_DB = -19.5;

    /**
     * From the levels of the cell and of those that disturb it.
     *
     * @param othersMw of the other cells on its channel, as far as they send
     */
    static HeardCell of(Cell cell, double rsrpDbm, double othersMw, double load) {
        double own = milliwatts(rsrpDbm);
        double disturbance = othersMw + milliwatts(NOISE_DBM);
        double sinr = Math.min(BEST_SINR_DB, 10 * Math.log10(own / disturbance) - BEHIND_DB);
        // of the twelve elements of a block two are always sent, the others as far as the cell is used
        double block = own * (2 + 10 * load) + 12 * disturbance;
        double rsrq = Math.max(WORST_RSRQ_DB, 10 * Math.log10(own / block));
        return new HeardCell(cell, rsrpDbm, rsrq, sinr, load);
    }

    static double milliwatts(double dbm) {
        return Math.pow(10, dbm / 10);
    }
}
