package syntoma.core.roof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;

/** Judges places for one antenna on one roof. */
final class Judge {
    /** What rises less than that over an antenna’s own horizon hides no mast: chosen, as masts stand higher than that. */
    private static final double LEAST_RISE = Math.tan(Math.toRadians(5));

    /** The sun at 30°: chosen, below it a panel gives little in any case. */
    private static final double LOW_SUN = Math.tan(Math.toRadians(30));

    private static final double SUM_OF_ANGLES = 2 * Math.PI;

    private final Roof roof;
    private final Foot foot;
    private final Cabling cabling;
    private final List<Thing> standing;
    private final List<Thing> hidden;

    Judge(Roof roof, Foot foot, Cabling cabling) {
        this.roof = roof;
        this.foot = foot;
        this.cabling = cabling;
        standing = roof.onRoof();
        hidden = roof.hiddenThings();
    }

    /** A place with all that is to be said of it. */
    Place of(Spot spot) {
        Place cell = ofCell(spot);
        return cell.mayBeBest() ? cell : cell.shaded(shade(spot));
    }

    /** The same without the horizon, where a graver rule than the clearance is broken: of most of a full roof. */
    Place ofCell(Spot spot) {
        Rect taken = foot.at(spot);
        Optional<Thing> nearest = nearest(taken);
        double clearance = nearest.map(t -> t.rect().distanceM(taken)).orElse(Double.POSITIVE_INFINITY);
        Optional<Objection> objection = objection(spot, taken, nearest, clearance);
        Place cell = new Place(
                spot,
                clearance,
                nearest.map(Thing::name),
                cabling.wantedM(spot),
                cabling.extensionM(spot),
                cabling.lossDb(spot),
                0,
                objection);
        return cell.mayBeBest() ? cell.shaded(shade(spot)) : cell;
    }

    private Optional<Thing> nearest(Rect taken) {
        Thing nearest = null;
        double least = Double.POSITIVE_INFINITY;
        for (Thing thing : standing) {
            double distance = thing.rect().distanceM(taken);
            if (thing.kind().isGear() && distance < least) {
                nearest = thing;
                least = distance;
            }
        }
        return Optional.ofNullable(nearest);
    }

    private Optional<Objection> objection(Spot spot, Rect taken, Optional<Thing> nearest, double clearance) {
        if (!taken.isWithin(roof.outline())) {
            return objection(
                    Objection.Why.OFF_ROOF,
                    Sentence.of(foot.name() + " does not fit on the roof with its whole foot."));
        }
        for (Thing thing : standing) {
            double free = thing.rect().distanceM(taken);
            if (thing.rect().overlaps(taken) || free < thing.clearM()) {
                return objection(
                        Objection.Why.ON_THING,
                        thing.rect().overlaps(taken)
                                ? Sentence.of(thing.name() + " is there.")
                                : Sentence.of(
                                        thing.name() + " asks for ",
                                        Quantity.drawnLength(thing.clearM()),
                                        " free around it."));
            }
        }
        Optional<Objection> found = hole(spot).or(() -> groundPlane(spot));
        if (found.isPresent() || clearance >= foot.clearanceM()) {
            return found;
        }
        return objection(
                Objection.Why.CLEARANCE,
                Sentence.of(
                        nearest.orElseThrow().name() + " is ",
                        Quantity.drawnLength(clearance),
                        " away; " + foot.name() + " asks for ",
                        Quantity.drawnLength(foot.clearanceM()),
                        "."));
    }

    private Optional<Objection> hole(Spot spot) {
        if (foot.fixing() != Foot.Fixing.DRILLED) {
            return Optional.empty();
        }
        for (Thing thing : hidden) {
            double free = thing.rect().distanceM(spot) - foot.holeRadiusM();
            if (free < thing.kind().fromHoleM()) {
                return objection(
                        Objection.Why.HOLE,
                        free <= 0
                                ? Sentence.of("The hole would meet " + thing.name() + ".")
                                : Sentence.of(
                                        "The hole would be ",
                                        Quantity.drawnLength(free),
                                        " from " + thing.name() + "; keep ",
                                        Quantity.drawnLength(thing.kind().fromHoleM()),
                                        "."));
            }
        }
        return Optional.empty();
    }

    private Optional<Objection> groundPlane(Spot spot) {
        double side = foot.groundPlaneM();
        if (side == 0 || foot.plateM() >= side) {
            return Optional.empty();
        }
        if (!roof.shell().isMetal()) {
            return objection(
                    Objection.Why.GROUND_PLANE,
                    Sentence.of(
                            "The roof is no ground plane: put a steel plate of ",
                            square(side),
                            " beneath " + foot.name() + "."));
        }
        Rect plane = Rect.around(spot, side, side);
        if (!plane.isWithin(roof.outline())) {
            return objection(
                    Objection.Why.GROUND_PLANE,
                    Sentence.of(
                            "The roof ends less than ",
                            cm(side / 2),
                            " away: there is no ground plane of ",
                            square(side),
                            "."));
        }
        return standing.stream()
                .filter(t -> t.kind().opensRoof() && t.rect().overlaps(plane))
                .findFirst()
                .flatMap(t -> objection(
                        Objection.Why.GROUND_PLANE,
                        Sentence.of(t.name() + " makes a hole in the ground plane of ", square(side), ".")));
    }

    private static Optional<Objection> objection(Objection.Why why, Sentence says) {
        return Optional.of(new Objection(why, says));
    }

    private static Quantity cm(double metres) {
        return Quantity.centimetres(100 * metres);
    }

    private static Sentence square(double sideM) {
        return Sentence.of(cm(sideM), " × ", cm(sideM));
    }

    /** Onto which panels the antenna’s shadow falls while the sun stands low, in sentences. */
    List<Sentence> shadows(Spot spot) {
        Rect taken = foot.at(spot);
        return standing.stream()
                .filter(thing -> thing.kind() == Thing.Kind.PANEL)
                .filter(panel -> panel.rect().distanceM(taken) < shadowM(panel))
                .map(panel -> Sentence.of(
                        foot.name() + " throws a shadow of ",
                        Quantity.drawnLength(shadowM(panel)),
                        " while the sun stands 30° high, and " + panel.name() + " is ",
                        Quantity.drawnLength(panel.rect().distanceM(taken)),
                        " away: a strip of shade costs a panel much of what it gives."))
                .toList();
    }

    /** How far over a panel it reaches. */
    private double shadowM(Thing panel) {
        return Math.max(0, foot.heightM() - panel.heightM()) / LOW_SUN;
    }

    /** The share of the horizon that other gear hides. */
    double shade(Spot spot) {
        List<double[]> hiddenArcs = new ArrayList<>();
        for (Thing thing : standing) {
            double over = thing.heightM() - foot.hearsFromM();
            double away = thing.rect().distanceM(spot);
            if (over > 0 && over > LEAST_RISE * away) {
                if (away == 0) {
                    return 1;
                }
                arc(spot, thing.rect(), hiddenArcs);
            }
        }
        return sum(hiddenArcs) / SUM_OF_ANGLES;
    }

    /** Adds the angles between which a rectangle stands, cut at ±π. */
    private static void arc(Spot from, Rect rect, List<double[]> arcs) {
        double middle = Math.atan2(rect.centre().y() - from.y(), rect.centre().x() - from.x());
        double low = 0;
        double high = 0;
        for (Spot corner : List.of(
                new Spot(rect.x(), rect.y()),
                new Spot(rect.rear(), rect.y()),
                new Spot(rect.x(), rect.right()),
                new Spot(rect.rear(), rect.right()))) {
            double off = Math.IEEEremainder(
                    Math.atan2(corner.y() - from.y(), corner.x() - from.x()) - middle, SUM_OF_ANGLES);
            low = Math.min(low, off);
            high = Math.max(high, off);
        }
        double start = middle + low;
        double end = middle + high;
        if (start < -Math.PI) {
            arcs.add(new double[] {start + SUM_OF_ANGLES, Math.PI});
            start = -Math.PI;
        }
        if (end > Math.PI) {
            arcs.add(new double[] {-Math.PI, end - SUM_OF_ANGLES});
            end = Math.PI;
        }
        arcs.add(new double[] {start, end});
    }

    private static double sum(List<double[]> arcs) {
        arcs.sort(Comparator.comparingDouble(a -> a[0]));
        double sum = 0;
        double until = -Math.PI;
        for (double[] arc : arcs) {
            sum += Math.max(0, arc[1] - Math.max(until, arc[0]));
            until = Math.max(until, arc[1]);
        }
        return sum;
    }
}
