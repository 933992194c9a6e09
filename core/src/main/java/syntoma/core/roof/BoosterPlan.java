package syntoma.core.roof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.band.Band;
import syntoma.core.booster.BoosterPlacing;
import syntoma.core.booster.UsableGain;
import syntoma.core.chain.Placement;
import syntoma.core.chain.Shell;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * A booster on a drawing: its antenna outside on the roof, its antenna inside beneath it, and what that comes to on each band.
 *
 * <pre>{@code
 * BoosterPlan plan = new BoosterPlan(
 *         syntoma.core.chain.Shell.STEEL, 6,
 *         new BoosterPlan.Point(1, 1, 0.3, 5), new BoosterPlan.Point(4, 1, 1, 3), false,
 *         new BoosterPlan.BoosterRating("Bittern", 65, OptionalDouble.empty()),
 *         -105, OptionalDouble.empty(), -100);
 * plan.separationM() // 3.27
 * }</pre>
 *
 * @param shell between the two
 * @param roomM length of the vehicle within which the indoor antenna can go
 * @param outside the donor antenna
 * @param inside the indoor antenna, as far beneath the roof as it hangs
 * @param isFacing whether the two look at each other; else each stands in the other's back
 * @param donorRsrpDbm at the antenna outside
 * @param donorSinrDb there; empty where it is not known
 * @param targetDbm that a phone should find
 */
public record BoosterPlan(
        Shell shell,
        double roomM,
        Point outside,
        Point inside,
        boolean isFacing,
        BoosterRating rating,
        double donorRsrpDbm,
        OptionalDouble donorSinrDb,
        double targetDbm) {
    private static final int LONGEST_NAME = 120;
    private static final double USUAL_CHANNEL_MHZ = 10;

    /** What the gain that the booster itself reports may be off by before it is worth a word, in dB. */
    private static final double REPORTED_OFF_DB = 3;

    /**
     * Where an antenna is, in m.
     *
     * @param awayM from the skin of the roof, up or down
     * @param gainDbi of it, the donor's less its cable
     */
    public record Point(double x, double y, double awayM, double gainDbi) {
        /**
         * @throws IllegalArgumentException naming the value and what is allowed
         */
        public Point {
            Values.within("x", x, -20, 20, "m");
            Values.within("y", y, -20, 20, "m");
            Values.within("distance from the roof", awayM, 0, 15, "m");
            Values.within("antenna gain", gainDbi, -10, 30, "dBi");
        }
    }

    /** What the booster’s sheet states. */
    public record BoosterRating(String name, double gainDb, OptionalDouble outputDbm) {
        /**
         * @throws IllegalArgumentException naming the value and what is allowed
         */
        public BoosterRating {
            name = Text.name("name", name, LONGEST_NAME);
            Values.within("gain", gainDb, 1, 110, "dB");
            outputDbm.ifPresent(dbm -> Values.within("rated output", dbm, -30, 40, "dBm"));
        }
    }

    /**
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    public BoosterPlan {
        Values.within("RSRP at the antenna outside", donorRsrpDbm, -140, -44, "dBm");
        donorSinrDb.ifPresent(db -> Values.within("SINR at the antenna outside", db, -23, 40, "dB"));
        Values.within("target", targetDbm, -140, -44, "dBm");
    }

    /** What it comes to on one band. */
    public record OnBand(Band band, BoosterPlacing placing, double radiusM) {}

    /** From antenna to antenna, in m. */
    public double separationM() {
        return Math.sqrt(Math.pow(outside.x - inside.x, 2) + Math.pow(outside.y - inside.y, 2) + Math.pow(depthM(), 2));
    }

    private double depthM() {
        return outside.awayM + inside.awayM;
    }

    /** On each band by its downlink. */
    public List<OnBand> on(List<Band> bands) {
        return bands.stream()
                .map(band -> {
                    BoosterPlacing placing = placing(band.downlink().middleMhz());
                    return new OnBand(band, placing, hasSignal() ? placing.radiusM(donorRsrpDbm, targetDbm) : 0);
                })
                .toList();
    }

    private BoosterPlacing placing(double mhz) {
        double back = isFacing ? 0 : UsableGain.BACK_DB;
        UsableGain between = new UsableGain(
                separationM(), shell.lossDb(mhz, Placement.INSIDE), outside.gainDbi - back, inside.gainDbi - back);
        return new BoosterPlacing(
                between, rating.gainDb, rating.outputDbm, outside.gainDbi, inside.gainDbi, mhz, USUAL_CHANNEL_MHZ);
    }

    private boolean hasSignal() {
        return BoosterPlacing.hasSignal(donorRsrpDbm, donorSinrDb.orElse(0));
    }

    /** What to do, in a sentence, by the band on which the least of the gain is stable. */
    public Sentence sentence(List<Band> bands) {
        if (!hasSignal()) {
            return Sentence.of("There is nothing to boost: with " + Values.format(donorRsrpDbm) + " dBm"
                    + donorSinrDb.stream()
                            .mapToObj(db -> " and " + Values.format(db) + " dB SINR")
                            .findFirst()
                            .orElse("")
                    + " at the antenna outside no booster helps.");
        }
        Optional<OnBand> worst = on(bands).stream().min(Comparator.comparingDouble(b -> b.placing.stableGainDb()));
        return worst.map(this::sentence).orElse(Sentence.of("Say which bands the carrier has."));
    }

    private Sentence sentence(OnBand worst) {
        BoosterPlacing placing = worst.placing;
        if (placing.shortM() == 0) {
            return Sentence.of("The two antennas are far enough apart for all " + Values.format(rating.gainDb)
                    + " dB of " + rating.name + ".");
        }
        double stable = placing.stableGainDb();
        String now = stable <= 0
                ? "No gain is stable on " + worst.band.name()
                : "On " + worst.band.name() + " " + Values.round(stable, 0) + " of " + Values.format(rating.gainDb)
                        + " dB are stable";
        Sentence all = move(placing.fullGainAtM())
                .map(move ->
                        Sentence.of(move, isFacing ? ", or turn the antennas back to back," : ",", " to use all of it"))
                .orElse(Sentence.of(
                        isFacing
                                ? "turn the antennas back to back; apart they cannot be enough in this vehicle"
                                : "this vehicle is too short for all of it"));
        return Sentence.of(now, ": ", all, "; else set the gain lower.");
    }

    /** How far the indoor antenna goes along the vehicle; empty where that is out of it. */
    private Optional<Sentence> move(double wantedM) {
        double along = Math.abs(outside.x - inside.x);
        double across = Math.abs(outside.y - inside.y);
        double wantedAlong = Math.sqrt(Math.max(0, wantedM * wantedM - across * across - depthM() * depthM()));
        boolean aft = inside.x >= outside.x;
        double to = outside.x + (aft ? wantedAlong : -wantedAlong);
        return to < 0 || to > roomM
                ? Optional.empty()
                : Optional.of(Sentence.of(
                        "move the indoor antenna ",
                        Quantity.metres(wantedAlong - along, 1),
                        aft ? " aft" : " forward"));
    }

    /** Where what the booster itself reports does not agree, in sentences. */
    public List<String> compare(List<Band> bands, Map<String, Double> reportedDb, boolean warns) {
        List<String> said = new ArrayList<>();
        if (warns) {
            said.add(
                    "Its warning light is on: it oscillates. Increase the distance, change the plane, or lower the gain.");
        }
        for (OnBand on : on(bands)) {
            Double reported = reportedDb.get(on.band.name());
            if (reported != null) {
                double off = reported - on.placing.usableGainDb();
                if (Math.abs(off) > REPORTED_OFF_DB) {
                    said.add("On " + on.band.name() + " it reports " + Values.format(reported) + " dB, about "
                            + Values.round(Math.abs(off), 0) + " dB " + (off > 0 ? "more" : "less")
                            + " than calculated: "
                            + (off > 0
                                    ? "there is more between the antennas than in the drawing."
                                    : "check its leads, and what reflects near them."));
                }
            }
        }
        return said;
    }
}
