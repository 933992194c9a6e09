package syntoma.app.fitout;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.springframework.lang.Nullable;
import syntoma.app.platform.Optionals;
import syntoma.core.band.Band;
import syntoma.core.roof.BoosterPlan;
import syntoma.core.roof.HoleFinder;
import syntoma.core.roof.Objection;
import syntoma.core.roof.Passage;
import syntoma.core.roof.Place;
import syntoma.core.roof.Search;
import syntoma.core.roof.Spot;
import syntoma.core.roof.Thing;
import syntoma.core.roof.WayIn;
import syntoma.core.roof.Wind;
import syntoma.core.sentence.Sentence;

/**
 * What a plan comes to. Lengths in m unless the name says otherwise; what the plan does not have is null.
 *
 * @param sentence where the antenna stands best, or what is wrong with where it stands
 * @param misfits what cannot be as it is drawn
 * @param notes what is to be minded wherever the antenna stands
 * @param best the best places, the best first
 * @param here where the antenna stands
 * @param worse what that has against the best place; none where it is as good
 * @param ways in for the leads, those that need no new hole first
 * @param strips why the antenna may not stand elsewhere, by rows of the grid
 */
record RoofAssessment(
        double lengthM,
        double widthM,
        double thicknessMm,
        double wallMm,
        String body,
        double heightM,
        double limitM,
        Sentence sentence,
        List<String> misfits,
        List<Sentence> notes,
        List<RoofPlace> best,
        @Nullable RoofPlace here,
        @Nullable Sentence worse,
        double stepM,
        List<RoofStrip> strips,
        @Nullable RoofRun run,
        @Nullable RoofPassage passage,
        @Nullable RoofHole hole,
        @Nullable RoofWind wind,
        @Nullable RoofBoosted boosted,
        List<RoofWay> ways,
        @Nullable RouterPlace.RoofRouterJudged router,
        @Nullable RouterPlace.RoofFed fed) {

    /** A way in for the leads; {@code inlet} is null for a hole beneath the antenna, {@code passes} where it is not known. */
    record RoofWay(
            @Nullable String inlet,
            double x,
            double y,
            double wantedM,
            double extensionM,
            double lossDb,
            @Nullable Boolean passes,
            Sentence says) {
        static RoofWay of(WayIn way, OptionalDouble boreMm) {
            Spot in = way.cabling().entry().orElse(way.antenna());
            return new RoofWay(
                    way.inlet().map(Thing::name).orElse(null),
                    in.x(),
                    in.y(),
                    way.wantedM(),
                    way.extensionM(),
                    way.lossDb(),
                    way.passes().orElse(null),
                    way.says(boreMm));
        }
    }

    /** A place; {@code clearanceM} is null on a bare roof, {@code objection} where no rule is broken. */
    record RoofPlace(
            double x,
            double y,
            @Nullable Double clearanceM,
            @Nullable String nearest,
            double wantedM,
            double extensionM,
            double lossDb,
            double shade,
            @Nullable Sentence why,
            @Nullable Sentence objection) {
        static RoofPlace of(Place place, @Nullable Sentence why) {
            return new RoofPlace(
                    place.spot().x(),
                    place.spot().y(),
                    place.nearest().isPresent() ? place.clearanceM() : null,
                    place.nearest().orElse(null),
                    place.wantedM(),
                    place.extensionM(),
                    place.lossDb(),
                    place.shade(),
                    why,
                    place.objection().map(Objection::says).orElse(null));
        }
    }

    /** Cells beside each other, by their middles; {@code why} is off-roof, on-thing, hole, ground-plane or clearance. */
    record RoofStrip(double y, double fromX, double toX, String why) {}

    /** The way of the leads, and what they lose on each band, in dB. */
    record RoofRun(double leadM, double wantedM, double extensionM, List<RoofBandLoss> bands) {}

    record RoofBandLoss(String band, double mhz, double lossDb) {}

    /** The hole for the leads, in mm; {@code ductFill} is a share, {@code passes} is false where the maker's hole is too small. */
    record RoofPassage(
            double oneAtATimeMm,
            double allAtOnceMm,
            double cablesMm,
            double holeMm,
            @Nullable Double sawMm,
            @Nullable Double ductFill,
            boolean passes,
            List<Sentence> notes) {
        static RoofPassage of(Passage passage, @Nullable Double ductMm) {
            Passage.Bore bore = passage.bore();
            Optional<Sentence> tooFull = Optional.ofNullable(ductMm).flatMap(passage::tooFull);
            return new RoofPassage(
                    bore.oneAtATimeMm(),
                    bore.allAtOnceMm(),
                    bore.cablesMm(),
                    bore.holeMm(),
                    Optionals.boxed(bore.sawMm()),
                    ductMm == null ? null : passage.fill(ductMm),
                    bore.passes(),
                    Stream.concat(bore.notes().stream(), tooFull.stream()).toList());
        }
    }

    /** Where to measure for the hole: outside from the edges, inside from the walls. */
    record RoofHole(
            double fromFrontM,
            double fromLeftM,
            double fromRearM,
            double fromRightM,
            double diagonalM,
            double insideFromFrontM,
            double insideFromLeftM) {
        static RoofHole of(HoleFinder holes, Spot spot) {
            HoleFinder.Outside outside = holes.measure(spot);
            Spot inside = holes.inside(spot);
            return new RoofHole(
                    spot.x(),
                    spot.y(),
                    outside.fromRearM(),
                    outside.fromRightM(),
                    outside.diagonalM(),
                    inside.x(),
                    inside.y());
        }
    }

    /** Wind on the antenna: an estimate, which the maker’s figure goes before. */
    record RoofWind(List<RoofWindAt> at, double clampNm, int takeDownAboveKmh) {
        static RoofWind of(Wind wind, @Nullable Double clampNm) {
            double clamp = clampNm == null ? Wind.USUAL_CLAMP_NM : clampNm;
            return new RoofWind(
                    Wind.AT_KMH.stream()
                            .map(kmh -> new RoofWindAt(kmh, wind.forceN(kmh), wind.momentNm(kmh)))
                            .toList(),
                    clamp,
                    wind.takeDownAboveKmh(clamp));
        }
    }

    record RoofWindAt(int kmh, double forceN, double momentNm) {}

    /** A booster on the drawing. */
    record RoofBoosted(
            double separationM, Sentence sentence, double targetDbm, List<RoofBoostedBand> bands, List<String> held) {
        static RoofBoosted of(BoosterPlan plan, List<Band> bands, List<String> held) {
            return new RoofBoosted(
                    plan.separationM(),
                    plan.sentence(bands),
                    plan.targetDbm(),
                    plan.on(bands).stream().map(RoofBoostedBand::of).toList(),
                    held);
        }
    }

    /** What a booster comes to on a band; {@code radiusM} is within how far a phone finds the target. */
    record RoofBoostedBand(
            String band,
            double isolationDb,
            double stableGainDb,
            double usableGainDb,
            double fullGainAtM,
            double shortM,
            double radiusM) {
        static RoofBoostedBand of(BoosterPlan.OnBand on) {
            return new RoofBoostedBand(
                    on.band().name(),
                    on.placing().isolationDb(),
                    on.placing().stableGainDb(),
                    on.placing().usableGainDb(),
                    on.placing().fullGainAtM(),
                    on.placing().shortM(),
                    on.radiusM());
        }
    }

    static List<RoofStrip> strips(Search.SearchResult found) {
        return found.strips().stream()
                .filter(s -> s.objection().isPresent())
                .map(s -> new RoofStrip(
                        s.y(), s.fromX(), s.toX(), s.objection().orElseThrow().label()))
                .toList();
    }
}
