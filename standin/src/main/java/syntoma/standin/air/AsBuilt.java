package syntoma.standin.air;

import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * A setup as it came out: what its sheets promise, and how far each band is from that.
 *
 * @param bands those of its device
 * @param aggregates how many carriers its device puts together
 * @param streams leads that are connected
 * @param hasBooster whether it re-radiates what a donor antenna hears
 * @param sheetDb by band: level at the device against an antenna without gain on the roof, by the sheets; none for a band that a
 *     part of the chain does not pass
 * @param deviationDb by band: what the truth has over that; known to the world alone
 * @param heightDb what its antenna gains by its height where nothing is in the way
 * @param beamDeg half-power width; empty for one that hears all around
 * @param directionalDb by how much its antenna exceeds one that hears all around
 */
public record AsBuilt(
        String name,
        Set<String> bands,
        int aggregates,
        int streams,
        boolean hasBooster,
        Map<String, Double> sheetDb,
        Map<String, Double> deviationDb,
        double heightDb,
        OptionalDouble beamDeg,
        double directionalDb) {
    /** Of the gain by height, so much is there in sight of the mast, and among trees. */
    private static final double HEIGHT_IN_SIGHT = 0.6;

    private static final double HEIGHT_AMONG_TREES = 0.15;

    /** Of what a beam gathers, so much is left where the signal comes from all sides. */
    private static final double BEAM_IN_SCATTER = 0.4;

    /** What a beam still hears behind itself. */
    private static final double FRONT_TO_BACK_DB = 22;

    /** Whether every part passes a band. */
    public boolean passes(String band) {
        return bands.contains(band) && sheetDb.containsKey(band);
    }

    /**
     * The truth for a cell, in dB against an antenna without gain on the roof.
     *
     * @param offDeg by how much the antenna points beside the mast; nothing for one that hears all around
     */
    public double trueDb(Cell cell, double offDeg) {
        String band = cell.channel().band();
        Site site = cell.site();
        double beam =
                beamDeg.isEmpty() ? 0 : site.hasSight() ? -patternDb(offDeg) : -(1 - BEAM_IN_SCATTER) * directionalDb;
        double height = heightDb * (site.hasSight() ? HEIGHT_IN_SIGHT : HEIGHT_AMONG_TREES);
        return sheetDb.get(band) + deviationDb.get(band) + height + beam;
    }

    /** What is lost beside the axis: 10 n log₁₀ cos²(θ/2), n from the half-power width. */
    private double patternDb(double offDeg) {
        double half = Math.toRadians(beamDeg.orElseThrow() / 2);
        double n = -3 / (20 * Math.log10(Math.cos(half / 2)));
        double off = Math.toRadians(Math.abs(Math.IEEEremainder(offDeg, 360)));
        double lost = -n * 20 * Math.log10(Math.max(1e-6, Math.cos(off / 2)));
        return Math.min(FRONT_TO_BACK_DB, lost);
    }
}
