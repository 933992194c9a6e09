package syntoma.core.roof;

/** A point of the roof, in m. */
public record Spot(double x, double y) {
    public double distanceM(Spot other) {
        return length(x - other.x, y - other.y);
    }

    /** As cables run, along the vehicle and across it, in m. */
    public double alongM(Spot other) {
        return Math.abs(x - other.x) + Math.abs(y - other.y);
    }

    /** How long a way is by its parts; ways on a vehicle are squared without loss, and that is much quicker than the exact one. */
    static double length(double alongX, double alongY) {
        return Math.sqrt(alongX * alongX + alongY * alongY);
    }
}
