package syntoma.core.roof;

/** A point of the roof, in m. */
public record Spot(double x, double y) {
    public double distanceM(Spot other) {
        return Math.hypot(x - other.x, y - other.y);
    }

    /** As cables run, along the vehicle and across it, in m. */
    public double alongM(Spot other) {
        return Math.abs(x - other.x) + Math.abs(y - other.y);
    }
}
