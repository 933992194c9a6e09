package syntoma.standin;

/**
 * A setup of the vehicle as the world knows it.
 *
 * @param lowDb level at the device against an isotropic antenna on the roof, below 1 GHz
 * @param highDb the same above 1 GHz
 * @param layers usable streams
 * @param wantsDonor whether it re-radiates, and so needs something to boost
 */
public record Rigging(String name, double lowDb, double highDb, int layers, boolean wantsDonor) {
    double gainDb(double mhz) {
        return mhz < 1000 ? lowDb : highDb;
    }
}
