package syntoma.standin;

/**
 * What serves one place from one carrier.
 *
 * @param cell its cell, as text
 * @param band operating band
 * @param channel downlink channel number
 * @param mhz downlink frequency
 * @param bandwidthMhz carrier bandwidth
 * @param distanceKm to the place
 * @param powerDbm radiated power of one resource element toward the place
 * @param terrainDb loss over free space from terrain and trees
 * @param evening how much of the cell is taken by others between 18 and 23 h, 0 to 1
 * @param day the same for the rest of the day
 */
public record Mast(
        String carrier,
        String cell,
        String band,
        int channel,
        double mhz,
        double bandwidthMhz,
        double distanceKm,
        double powerDbm,
        double terrainDb,
        double evening,
        double day) {

    /** Free-space loss: 32.45 + 20 log10(km) + 20 log10(MHz) dB. */
    double freeSpaceDb() {
        return 32.45 + 20 * Math.log10(distanceKm) + 20 * Math.log10(mhz);
    }

    double load(int hour) {
        return hour >= 18 && hour < 23 ? evening : day;
    }
}
