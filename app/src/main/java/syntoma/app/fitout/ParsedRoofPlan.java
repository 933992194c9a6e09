package syntoma.app.fitout;

import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.springframework.lang.Nullable;
import syntoma.app.fitout.RoofPlan.RoofAntenna;
import syntoma.app.fitout.RoofPlan.RoofBooster;
import syntoma.app.fitout.RoofPlan.RoofCable;
import syntoma.app.fitout.RoofPlan.RoofLeads;
import syntoma.app.fitout.RoofPlan.RoofMast;
import syntoma.app.fitout.RoofPlan.RoofThing;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.Optionals;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;
import syntoma.core.chain.CableClass;
import syntoma.core.chain.Vehicle;
import syntoma.core.jobsheet.Hole;
import syntoma.core.roof.BoosterPlan;
import syntoma.core.roof.Cabling;
import syntoma.core.roof.Foot;
import syntoma.core.roof.HoleFinder;
import syntoma.core.roof.Mast;
import syntoma.core.roof.Passage;
import syntoma.core.roof.Rect;
import syntoma.core.roof.Roof;
import syntoma.core.roof.RoofDefaults;
import syntoma.core.roof.Search;
import syntoma.core.roof.Shape;
import syntoma.core.roof.Spot;
import syntoma.core.roof.Thing;
import syntoma.core.roof.Wind;
import syntoma.core.unit.Values;

/**
 * A plan as the core sees it.
 *
 * @param search for the antenna’s place; empty without an antenna
 * @param chosenSpot where the antenna stands
 */
record ParsedRoofPlan(
        Roof roof,
        Optional<Search> search,
        Optional<Spot> chosenSpot,
        HoleFinder holes,
        Optional<Passage> passage,
        Optional<Mast> mast,
        Optional<BoosterPlan> booster) {
    private static final RoofDefaults USUAL = RoofDefaults.USUAL;

    /** A middle band, where the sheet of a lead says nothing else. */
    private static final double AT_MHZ = 1_800;

    private static final int MOST_REPORTED = 60;

    /**
     * @throws InvalidInputException naming what cannot be
     */
    static ParsedRoofPlan of(RoofPlan plan, Vehicle vehicle) {
        Shape shape = plan.shape() == null
                ? Shape.PANEL_VAN
                : InvalidInputException.naming("shape", () -> Shape.fromLabel(plan.shape()));
        List<Thing> things = IntStream.range(0, plan.things().size())
                .mapToObj(i -> InvalidInputException.naming(
                        "things[" + i + "]", () -> thing(plan.things().get(i))))
                .toList();
        Roof roof = InvalidInputException.naming(
                "roof",
                () -> new Roof(
                        or(plan.lengthM(), shape.lengthM()),
                        or(plan.widthM(), shape.widthM()),
                        vehicle.shell(),
                        or(plan.thicknessMm(), shape.thicknessMm()),
                        Boolean.TRUE.equals(plan.doubleSkin()),
                        vehicle.heightM(),
                        Math.max(vehicle.heightM(), vehicle.limitM()),
                        things));
        double wallMm = or(plan.wallMm(), shape.wallMm());
        Optional<Foot> foot = Optional.ofNullable(plan.antenna())
                .map(a -> InvalidInputException.naming("antenna", () -> foot(a, roof)));
        Optional<Cabling> cabling =
                Optional.ofNullable(plan.cable()).map(c -> InvalidInputException.naming("cable", () -> cabling(c)));
        return new ParsedRoofPlan(
                roof,
                foot.map(f -> new Search(roof, f, cabling.orElseGet(() -> underMiddle(roof)))),
                Optional.ofNullable(plan.antenna())
                        .filter(a -> a.x() != null && a.y() != null)
                        .map(a -> new Spot(on("antenna.x", a.x()), on("antenna.y", a.y()))),
                InvalidInputException.naming(
                        "wallMm", () -> new HoleFinder(wallMm, wallMm, roof.lengthM(), roof.widthM())),
                Optional.ofNullable(plan.leads())
                        .map(leads -> passage(
                                leads,
                                plan.antenna() == null
                                        ? OptionalDouble.empty()
                                        : Optionals.optional(plan.antenna().holeMm()))),
                Optional.ofNullable(plan.mast()).map(ParsedRoofPlan::mast),
                Optional.ofNullable(plan.booster())
                        .map(b -> InvalidInputException.naming("booster", () -> booster(b, roof))));
    }

    private static Passage passage(RoofLeads leads, OptionalDouble makersMm) {
        Passage passage = InvalidInputException.naming(
                "leads",
                () -> new Passage(
                        Collections.nCopies(
                                (int) Values.within("leads", leads.count(), 1, 16, ""),
                                new Passage.Lead(leads.cableMm(), leads.plugMm())),
                        or(leads.stemMm(), 0),
                        makersMm));
        if (leads.ductMm() != null) {
            InvalidInputException.naming("leads.ductMm", () -> passage.fill(leads.ductMm()));
        }
        return passage;
    }

    private static Mast mast(RoofMast mast) {
        return InvalidInputException.naming("mast", () -> {
            Wind wind = new Wind(mast.areaM2(), mast.leverM());
            if (mast.clampNm() != null) {
                InvalidInputException.naming("mast.clampNm", () -> wind.takeDownAboveKmh(mast.clampNm()));
            }
            return new Mast(
                    wind,
                    Optionals.optional(mast.raisedM()),
                    Optionals.optional(mast.laidM()),
                    Optionals.optional(mast.weightKg()),
                    Optionals.optional(mast.holdsKg()));
        });
    }

    private static double on(String field, double value) {
        return InvalidInputException.naming(field, () -> Values.within(field, value, -20, 20, "m"));
    }

    private static double or(@Nullable Double value, double usual) {
        return value == null ? usual : value;
    }

    private static Thing thing(RoofThing t) {
        return new Thing(
                Thing.Kind.fromLabel(String.valueOf(t.kind())),
                String.valueOf(t.name()),
                new Rect(t.x(), t.y(), t.lengthM(), t.widthM()),
                or(t.heightM(), USUAL.thingHeightM()),
                or(t.clearM(), 0),
                or(t.freeMm(), 0));
    }

    private static Foot foot(RoofAntenna a, Roof roof) {
        Foot foot = new Foot(
                String.valueOf(a.name()),
                a.lengthM(),
                a.widthM(),
                a.heightM(),
                or(a.clearanceM(), USUAL.clearanceM()),
                or(a.groundPlaneM(), 0),
                or(a.plateM(), 0),
                a.fixing() == null ? Foot.Fixing.DRILLED : Foot.Fixing.fromLabel(a.fixing()),
                or(a.holeMm(), USUAL.holeMm()));
        Values.within("antenna length", a.lengthM(), 0.01, roof.lengthM(), "m, the length of the roof");
        Values.within("antenna width", a.widthM(), 0.01, roof.widthM(), "m, the width of the roof");
        return foot;
    }

    private static Cabling cabling(RoofCable c) {
        return new Cabling(
                new Spot(
                        Values.within("deviceX", c.deviceX(), -20, 20, "m"),
                        Values.within("deviceY", c.deviceY(), -20, 20, "m")),
                or(c.dropM(), USUAL.dropM()),
                c.entryX() == null || c.entryY() == null
                        ? Optional.empty()
                        : Optional.of(new Spot(
                                Values.within("entryX", c.entryX(), -20, 20, "m"),
                                Values.within("entryY", c.entryY(), -20, 20, "m"))),
                c.bends().stream()
                        .map(bend -> new Spot(
                                Values.within("bend", bend.x(), -20, 20, "m"),
                                Values.within("bend", bend.y(), -20, 20, "m")))
                        .toList(),
                or(c.leadM(), USUAL.leadM()),
                or(c.slackM(), USUAL.slackM()),
                or(c.dripLoopM(), USUAL.dripLoopM()),
                InvalidInputException.naming("cable.cableClass", () -> CableClass.of(or(c.cableClass()))),
                AT_MHZ);
    }

    /** A device under the middle of the roof. */
    private static Cabling underMiddle(Roof roof) {
        Spot middle = roof.outline().centre();
        return cabling(new RoofCable(null, null, null, null, null, null, null, List.of(), middle.x(), middle.y()));
    }

    private static BoosterPlan booster(RoofBooster b, Roof roof) {
        Values.within("reported bands", b.reported().size(), 0, MOST_REPORTED, "");
        b.reported().forEach(r -> {
            Bands.of(String.valueOf(r.band()));
            Values.within("gain reported on " + r.band(), r.gainDb(), -20, 110, "dB");
        });
        return new BoosterPlan(
                roof.shell(),
                roof.lengthM(),
                new BoosterPlan.Point(b.outsideX(), b.outsideY(), b.outsideUpM(), b.outsideGainDbi()),
                new BoosterPlan.Point(b.insideX(), b.insideY(), b.insideDownM(), b.insideGainDbi()),
                Boolean.TRUE.equals(b.facing()),
                new BoosterPlan.BoosterRating(String.valueOf(b.name()), b.gainDb(), Optionals.optional(b.outputDbm())),
                b.donorRsrpDbm(),
                Optionals.optional(b.donorSinrDb()),
                or(b.targetDbm(), USUAL.targetDbm()));
    }

    /** The class of the leads. */
    static String cableClass(RoofPlan plan) {
        return plan.cable() == null ? USUAL.cableClass() : or(plan.cable().cableClass());
    }

    private static String or(@Nullable String cableClass) {
        return cableClass == null ? USUAL.cableClass() : cableClass;
    }

    /** The hole beneath the antenna, in mm; empty where the leads are not described. */
    OptionalDouble holeMm() {
        return passage.map(p -> OptionalDouble.of(p.bore().holeMm())).orElse(OptionalDouble.empty());
    }

    /** What an inlet has to let through: the leads one at a time, in mm; empty where they are not described. */
    OptionalDouble leadsMm() {
        return passage.map(p -> OptionalDouble.of(p.oneAtATimeMm())).orElse(OptionalDouble.empty());
    }

    /** Where to measure for the hole beneath the antenna; empty where it is not placed yet. */
    Optional<Hole.Marks> marks() {
        return chosenSpot.map(at -> new Hole.Marks(holes.measure(at), holes.inside(at)));
    }

    /** What the leads lose on a band: with what they have, and with the extension that they need here. */
    double lossDb(Band band, Spot spot) {
        return search.orElseThrow().cabling().lossDb(spot, band.downlink().middleMhz());
    }
}
