package syntoma.core.roof;

import syntoma.core.unit.Values;

/**
 * A point of the ceiling, measured from two walls inside, found again on the roof outside, and the other way round. The walls are
 * taken to stand upright; where they lean, measure at the height of the ceiling and on the roof.
 *
 * @param frontWallMm thickness of the wall in front, to the outer edge of the roof
 * @param leftWallMm of the wall on the left
 * @param roofLengthM outside
 * @param roofWidthM outside
 */
public record HoleFinder(double frontWallMm, double leftWallMm, double roofLengthM, double roofWidthM) {
    private static final double MM_PER_M = 1_000;

    /**
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    public HoleFinder {
        Values.within("front wall", frontWallMm, 0, 500, "mm");
        Values.within("left wall", leftWallMm, 0, 500, "mm");
        Values.within("roof length", roofLengthM, 0.5, 15, "m");
        Values.within("roof width", roofWidthM, 0.5, 3, "m");
    }

    /**
     * What to measure outside, and what must come out across.
     *
     * @param spot from the front and the left edge of the roof
     * @param fromRearM the check along
     * @param fromRightM the check across
     * @param diagonalM from the front left corner
     */
    public record Outside(Spot spot, double fromRearM, double fromRightM, double diagonalM) {}

    /**
     * From the walls inside.
     *
     * @throws IllegalArgumentException when that is not under this roof
     */
    public Outside outside(double fromFrontM, double fromLeftM) {
        return measure(new Spot(fromFrontM + frontWallMm / MM_PER_M, fromLeftM + leftWallMm / MM_PER_M));
    }

    /** What to measure on the roof for a spot of it. */
    public Outside measure(Spot spot) {
        Values.within("distance from the front", spot.x(), 0, roofLengthM, "m");
        Values.within("distance from the left", spot.y(), 0, roofWidthM, "m");
        return new Outside(spot, roofLengthM - spot.x(), roofWidthM - spot.y(), Spot.length(spot.x(), spot.y()));
    }

    /** The same point from the walls inside. */
    public Spot inside(Spot outside) {
        measure(outside);
        return new Spot(outside.x() - frontWallMm / MM_PER_M, outside.y() - leftWallMm / MM_PER_M);
    }
}
