package syntoma.core.roof;

import syntoma.core.unit.Values;

/**
 * A rectangle along the roof, in m.
 *
 * @param x of its front edge
 * @param y of its left edge
 * @param lengthM along the vehicle
 * @param widthM across it
 */
public record Rect(double x, double y, double lengthM, double widthM) {
    private static final double FURTHEST_M = 20;

    /**
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    public Rect {
        Values.within("x", x, -FURTHEST_M, FURTHEST_M, "m");
        Values.within("y", y, -FURTHEST_M, FURTHEST_M, "m");
        Values.within("length", lengthM, 0.001, FURTHEST_M, "m");
        Values.within("width", widthM, 0.001, FURTHEST_M, "m");
    }

    /** A rectangle of this length and width around a point. */
    public static Rect around(Spot centre, double lengthM, double widthM) {
        return new Rect(centre.x() - lengthM / 2, centre.y() - widthM / 2, lengthM, widthM);
    }

    double rear() {
        return x + lengthM;
    }

    double right() {
        return y + widthM;
    }

    public Spot centre() {
        return new Spot(x + lengthM / 2, y + widthM / 2);
    }

    /** From edge to edge, in m; 0 where they touch or overlap. */
    public double distanceM(Rect other) {
        return Spot.length(gap(x, rear(), other.x, other.rear()), gap(y, right(), other.y, other.right()));
    }

    /** From a point to the nearest edge, in m; 0 inside. */
    public double distanceM(Spot spot) {
        return Spot.length(gap(x, rear(), spot.x(), spot.x()), gap(y, right(), spot.y(), spot.y()));
    }

    private static double gap(double from, double to, double otherFrom, double otherTo) {
        return Math.max(0, Math.max(otherFrom - to, from - otherTo));
    }

    /** Whether they share an area; edges that touch share none. */
    public boolean overlaps(Rect other) {
        return doOverlap(x, rear(), other.x, other.rear()) && doOverlap(y, right(), other.y, other.right());
    }

    private static boolean doOverlap(double from, double to, double otherFrom, double otherTo) {
        return Math.min(to, otherTo) - Math.max(from, otherFrom) > NOTHING;
    }

    /** Whether it lies within another, edges included. */
    public boolean isWithin(Rect other) {
        return x >= other.x - NOTHING
                && y >= other.y - NOTHING
                && rear() <= other.rear() + NOTHING
                && right() <= other.right() + NOTHING;
    }

    /** A micrometre: what sums of centimetres are off by is no overlap. */
    private static final double NOTHING = 1e-6;
}
