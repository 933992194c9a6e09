package syntoma.app.fitout;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.fitout.RoofAssessment.RoofBandLoss;
import syntoma.app.fitout.RoofAssessment.RoofBoosted;
import syntoma.app.fitout.RoofAssessment.RoofHole;
import syntoma.app.fitout.RoofAssessment.RoofPassage;
import syntoma.app.fitout.RoofAssessment.RoofPlace;
import syntoma.app.fitout.RoofAssessment.RoofRun;
import syntoma.app.fitout.RoofAssessment.RoofWay;
import syntoma.app.fitout.RoofAssessment.RoofWind;
import syntoma.app.gear.GearKind;
import syntoma.app.gear.GearService;
import syntoma.app.gear.Parts;
import syntoma.app.need.Carriers;
import syntoma.app.need.Vehicles;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;
import syntoma.core.chain.Vehicle;
import syntoma.core.roof.Holding;
import syntoma.core.roof.Place;
import syntoma.core.roof.Roof;
import syntoma.core.roof.Search;
import syntoma.core.roof.Spot;
import syntoma.core.roof.WayIn;
import syntoma.core.sentence.Sentence;

/** Says what a plan comes to, also while it is being drawn; keeps nothing. */
@Service
@Transactional(readOnly = true)
class RoofAssessor {
    /** A low, a middle and a high band, where the carrier’s are not known. */
    private static final List<Band> USUAL_BANDS =
            Stream.of("B20", "B3", "B7").map(Bands::of).toList();

    private static final String NO_ANTENNA = "Add what is on the roof and under it, then choose the antenna.";

    private final Vehicles vehicles;
    private final Carriers carriers;

    private final RouterPlace routers;
    private final GearService gear;

    RoofAssessor(Vehicles vehicles, Carriers carriers, RouterPlace routers, GearService gear) {
        this.routers = routers;
        this.gear = gear;
        this.vehicles = vehicles;
        this.carriers = carriers;
    }

    /**
     * What it comes to.
     *
     * @throws InvalidInputException naming what cannot be
     */
    RoofAssessment of(RoofPlan plan) {
        Vehicle vehicle = vehicles.vehicle();
        ParsedRoofPlan drawn = ParsedRoofPlan.of(plan, vehicle);
        JobBuilds.check(plan, drawn);
        Roof roof = drawn.roof();
        Optional<Search.SearchResult> found = drawn.search().map(Search::find);
        Optional<Place> here = drawn.chosenSpot().flatMap(spot -> drawn.search().map(s -> s.at(spot)));
        Optional<Place> best =
                found.flatMap(f -> f.places().stream().findFirst()).map(Search.RankedPlace::place);
        List<Band> bands = bands();
        return new RoofAssessment(
                roof.lengthM(),
                roof.widthM(),
                roof.thicknessMm(),
                drawn.holes().leftWallMm(),
                roof.shell().label(),
                roof.heightM(),
                roof.limitM(),
                sentence(found, here),
                roof.misfits(),
                notes(drawn, here.or(() -> best)),
                found.map(f -> f.places().stream()
                                .map(r -> RoofPlace.of(r.place(), r.reason()))
                                .toList())
                        .orElse(List.of()),
                here.map(p -> RoofPlace.of(p, null)).orElse(null),
                worse(drawn, best, here),
                Search.STEP_M,
                found.map(RoofAssessment::strips).orElse(List.of()),
                here.or(() -> best).map(p -> run(drawn, p, bands)).orElse(null),
                drawn.passage()
                        .map(p -> InvalidInputException.naming(
                                "leads.ductMm",
                                () -> RoofPassage.of(p, plan.leads().ductMm())))
                        .orElse(null),
                drawn.chosenSpot()
                        .or(() -> best.map(Place::spot))
                        .filter(spot -> roof.outline().distanceM(spot) == 0)
                        .map(spot -> RoofHole.of(drawn.holes(), spot))
                        .orElse(null),
                drawn.mast()
                        .map(m -> RoofWind.of(m.wind(), plan.mast().clampNm()))
                        .orElse(null),
                boosted(plan, drawn, itsOwn(plan, bands)),
                plan.cable() == null
                        ? List.of()
                        : here.or(() -> best).map(p -> ways(drawn, p.spot())).orElse(List.of()),
                routers.judge(plan, roof.shell()),
                routers.fed(plan, vehicle));
    }

    /** What is to be minded wherever the antenna stands, and where it does. */
    private static List<Sentence> notes(ParsedRoofPlan drawn, Optional<Place> at) {
        Roof roof = drawn.roof();
        Stream<Sentence> antenna = drawn.search().stream().flatMap(s -> Holding.of(roof, s.foot()).stream());
        Stream<Sentence> place = at.stream().flatMap(p -> drawn.search().stream()
                .flatMap(s -> Stream.concat(
                        s.cabling().closePasses(roof.hiddenThings(), p.spot()).stream(),
                        s.shadows(p.spot()).stream())));
        Stream<Sentence> mast = drawn.mast().stream().flatMap(m -> m.notes(roof).stream());
        return Stream.of(antenna, place, mast).flatMap(s -> s).toList();
    }

    private static List<RoofWay> ways(ParsedRoofPlan drawn, Spot antenna) {
        return WayIn.all(drawn.roof(), drawn.search().orElseThrow().cabling(), antenna, drawn.leadsMm()).stream()
                .map(way -> RoofWay.of(way, way.inlet().isPresent() ? drawn.leadsMm() : drawn.holeMm()))
                .toList();
    }

    /** Those of the carrier that gear is judged for. */
    private List<Band> bands() {
        List<Band> own = vehicles.carrier()
                .map(carrier -> carriers.bands(carrier, vehicles.region(carrier).orElse(null)))
                .orElse(List.of());
        return own.isEmpty() ? USUAL_BANDS : own;
    }

    private static Sentence sentence(Optional<Search.SearchResult> found, Optional<Place> here) {
        return here.flatMap(Place::objection)
                .map(o -> Sentence.of("Not there: ", o.says()))
                .or(() -> found.map(Search.SearchResult::sentence))
                .orElse(Sentence.of(NO_ANTENNA));
    }

    @Nullable
    private static Sentence worse(ParsedRoofPlan drawn, Optional<Place> best, Optional<Place> here) {
        return here.isEmpty() || best.isEmpty()
                ? null
                : drawn.search().orElseThrow().after(best.get(), here.get());
    }

    private static RoofRun run(ParsedRoofPlan drawn, Place place, List<Band> bands) {
        Spot spot = place.spot();
        return new RoofRun(
                drawn.search().orElseThrow().cabling().leadM(),
                place.wantedM(),
                place.extensionM(),
                bands.stream()
                        .map(b -> new RoofBandLoss(b.name(), b.downlink().middleMhz(), drawn.lossDb(b, spot)))
                        .toList());
    }

    /** Those of some bands that the booster passes, where its sheet is in Gear and says so; else all of them. */
    private List<Band> itsOwn(RoofPlan plan, List<Band> bands) {
        if (plan.booster() == null) {
            return bands;
        }
        List<Band> own = gear.all().stream()
                .filter(item -> item.is() == GearKind.BOOSTER
                        && item.name().equals(plan.booster().name()))
                .findFirst()
                .map(Parts::booster)
                .map(booster -> bands.stream()
                        .filter(band -> booster.share(band).passes().orElse(true))
                        .toList())
                .orElse(bands);
        return own.isEmpty() ? bands : own;
    }

    @Nullable
    private static RoofBoosted boosted(RoofPlan plan, ParsedRoofPlan drawn, List<Band> bands) {
        if (drawn.booster().isEmpty()) {
            return null;
        }
        Map<String, Double> reported = new HashMap<>();
        plan.booster().reported().forEach(r -> reported.put(r.band(), r.gainDb()));
        return RoofBoosted.of(
                drawn.booster().get(),
                bands,
                drawn.booster()
                        .get()
                        .compare(
                                bands,
                                reported,
                                Boolean.TRUE.equals(plan.booster().warns())));
    }
}
