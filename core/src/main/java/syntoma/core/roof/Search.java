package syntoma.core.roof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;

/**
 * Looks for the best places of an antenna, on a grid of {@value #STEP_M} m over the whole roof: those that keep every rule, the most
 * clearance first, then the least loss in the cable, then the least of the horizon hidden, then the most roof around it. Clearance counts in steps of
 * {@value #CLEARANCE_STEP_M} m up to twice what the antenna asks for, and loss in steps of {@value #LOSS_STEP_DB} dB: what is less
 * than that nobody measures, and a centimetre more is not worth a decibel.
 *
 * <p>Where no place keeps the clearance, those with the most of it are given, with their objection.
 */
public record Search(Roof roof, Foot foot, Cabling cabling) {
    public static final double STEP_M = 0.05;
    static final double CLEARANCE_STEP_M = 0.05;
    static final double LOSS_STEP_DB = 0.1;

    /** How many places are given, so far from each other. */
    public static final int MOST = 3;

    public static final double APART_M = 0.4;

    /** What sums of steps are off by. */
    private static final double NOTHING = 1e-9;

    /**
     * A place with what speaks for it.
     *
     * @param reason it is the best, or why it comes after the one before it
     */
    public record RankedPlace(Place place, Sentence reason) {}

    /** Cells of a row of the grid, next to each other, against which the same speaks; empty where nothing does. */
    public record Strip(double y, double fromX, double toX, Optional<Objection.Why> objection) {}

    /** What the search has come to. */
    public record SearchResult(List<RankedPlace> places, List<Strip> strips, Sentence sentence) {}

    /** Onto which panels the antenna’s shadow falls from a place while the sun stands low, in sentences. */
    public List<Sentence> shadows(Spot spot) {
        return new Judge(roof, foot, cabling).shadows(spot);
    }

    /** A place judged by itself. */
    public Place at(Spot spot) {
        return new Judge(roof, foot, cabling).of(spot);
    }

    /** Judges the whole roof. */
    public SearchResult find() {
        Judge judge = new Judge(roof, foot, cabling);
        List<Place> cells = new ArrayList<>();
        List<Strip> strips = new ArrayList<>();
        for (int row = 0; row * STEP_M <= roof.widthM() + NOTHING; row++) {
            Strip open = null;
            for (int column = 0; column * STEP_M <= roof.lengthM() + NOTHING; column++) {
                Place cell = judge.ofCell(new Spot(column * STEP_M, row * STEP_M));
                cells.add(cell);
                open = widened(strips, open, cell);
            }
            strips.add(open);
        }
        boolean narrow = cells.stream().noneMatch(Place::isFree);
        List<Place> best = best(cells, narrow ? Place::isNarrow : Place::isFree);
        return new SearchResult(rank(best), strips, sentence(best, cells));
    }

    private static Strip widened(List<Strip> strips, Strip open, Place cell) {
        Optional<Objection.Why> why = cell.objection().map(Objection::kind);
        if (open != null && open.objection.equals(why)) {
            return new Strip(open.y, open.fromX, cell.spot().x(), why);
        }
        if (open != null) {
            strips.add(open);
        }
        return new Strip(cell.spot().y(), cell.spot().x(), cell.spot().x(), why);
    }

    private List<Place> best(List<Place> cells, Predicate<Place> wanted) {
        Comparator<Place> order = order();
        List<Place> best = new ArrayList<>();
        while (best.size() < MOST) {
            Optional<Place> next = cells.stream()
                    .filter(wanted)
                    .filter(c -> best.stream().allMatch(b -> b.spot().distanceM(c.spot()) >= APART_M - NOTHING))
                    .min(order);
            if (next.isEmpty()) {
                break;
            }
            best.add(next.get());
        }
        return best;
    }

    /** The better place first; of equals the one with more roof around it, then further forward, then further left. */
    Comparator<Place> order() {
        return Comparator.comparingLong((Place p) -> -clearanceSteps(p))
                .thenComparingLong(Search::lossSteps)
                .thenComparingDouble(Place::shade)
                .thenComparingLong(p -> -roofAroundCm(p))
                .thenComparingDouble(p -> p.spot().x())
                .thenComparingDouble(p -> p.spot().y());
    }

    private long clearanceSteps(Place place) {
        double counts = Math.min(place.clearanceM(), 2 * foot.clearanceM());
        return (long) Math.floor((counts + NOTHING) / CLEARANCE_STEP_M);
    }

    /** To the nearest edge of the roof, in whole cm. */
    private long roofAroundCm(Place place) {
        Spot spot = place.spot();
        double nearest =
                Math.min(Math.min(spot.x(), roof.lengthM() - spot.x()), Math.min(spot.y(), roof.widthM() - spot.y()));
        return Math.round(100 * nearest);
    }

    private static long lossSteps(Place place) {
        return Math.round(place.lossDb() / LOSS_STEP_DB);
    }

    private List<RankedPlace> rank(List<Place> best) {
        List<RankedPlace> ranked = new ArrayList<>();
        for (int i = 0; i < best.size(); i++) {
            ranked.add(new RankedPlace(best.get(i), i == 0 ? first(best.get(0)) : after(best.get(0), best.get(i))));
        }
        return ranked;
    }

    private Sentence first(Place place) {
        Sentence room = place.nearest()
                .map(name -> Sentence.of(Quantity.drawnLength(place.clearanceM()), " to " + name))
                .orElse(Sentence.of("nothing else on the roof"));
        return Sentence.of(
                room,
                ", ",
                Cabling.reach(place.extensionM()),
                ", " + Values.round(place.lossDb(), 1) + " dB in the cable, " + percent(place.shade())
                        + " of the horizon hidden.");
    }

    /** What a place has against another, all that differs by a step that counts; the first is why it comes after it. */
    public Sentence after(Place better, Place place) {
        List<CharSequence> against = new ArrayList<>();
        if (clearanceSteps(place) < clearanceSteps(better)) {
            against.add(place.nearest()
                    .map(name -> Sentence.of(
                            "less clearance (", Quantity.drawnLength(place.clearanceM()), " to " + name + ")"))
                    .orElseThrow());
        }
        double loss = place.lossDb() - better.lossDb();
        if (lossSteps(place) > lossSteps(better)) {
            against.add(Values.round(loss, 1) + " dB more in the cable");
        }
        if (place.extensionM() > 0 && better.extensionM() == 0) {
            against.add(Cabling.reach(place.extensionM()));
        }
        if (place.shade() > better.shade() + NOTHING) {
            against.add(percent(place.shade()) + " of the horizon hidden compared with " + percent(better.shade()));
        }
        return against.isEmpty() ? Sentence.of("as good") : Sentence.join(", ", against);
    }

    private static String percent(double share) {
        return Values.round(100 * share, 0) + " %";
    }

    private Sentence sentence(List<Place> best, List<Place> cells) {
        if (best.isEmpty()) {
            return Sentence.of("There is no place for " + foot.name() + " on this roof: ", last(cells));
        }
        Place first = best.get(0);
        Sentence where = Sentence.of(
                foot.name() + " is best placed ",
                Quantity.drawnLength(first.spot().x()),
                " from the front and ",
                Quantity.drawnLength(first.spot().y()),
                " from the left edge");
        return first.isFree()
                ? Sentence.of(where, ".")
                : Sentence.of(
                        where,
                        ", with ",
                        Quantity.drawnLength(first.clearanceM()),
                        " to " + first.nearest().orElseThrow() + " instead of ",
                        Quantity.drawnLength(foot.clearanceM()),
                        ": no other place has more.");
    }

    /** What speaks against the places that keep most of the rules. */
    private static CharSequence last(List<Place> cells) {
        return cells.stream()
                .flatMap(c -> c.objection().stream())
                .max(Comparator.comparingInt(o -> o.kind().ordinal()))
                .map(Objection::says)
                .orElseThrow();
    }
}
