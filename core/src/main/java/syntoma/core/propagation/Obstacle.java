package syntoma.core.propagation;

import syntoma.core.unit.Values;

/**
 * What the ground between two antennas takes: the first Fresnel zone, and the loss over the point that reaches furthest into it, taken
 * as one knife edge (ITU-R P.526, with the earth’s bulge for an effective radius of 4/3). Heights in m above sea, distances in km,
 * frequency in MHz. Assumes one edge that matters: behind several ridges, over woods and in towns it loses more.
 *
 * <pre>{@code
 * Obstacle.lossDb(0)               // 6.03
 * Obstacle.lossDb(-0.78)           // 0.0
 * Obstacle.fresnelM(1, 3, 3, 800)  // 23.7
 * Obstacle.bulgeM(3, 3)            // 0.53
 * }</pre>
 */
public final class Obstacle {
    /** Below this an edge takes nothing (P.526). */
    private static final double FREE = -0.78;

    /** Twice the effective radius of the earth in km, 4/3 of 6371, over 1000 for heights in m. */
    private static final double BULGE = 2 * 4 / 3.0 * 6371 / 1000;

    private static final double LIGHT = 299.792458;

    private Obstacle() {}

    /** Radius in m of the n-th Fresnel zone: √(n λ d₁ d₂ ∕ (d₁ + d₂)). Half-way over 2 km at 800 MHz: 13.7 m. */
    public static double fresnelM(int n, double fromKm, double toKm, double mhz) {
        Values.within("frequency", mhz, 1, 100_000, "MHz");
        return fromKm + toKm == 0
                ? 0
                : Math.sqrt(n * (LIGHT / mhz) * fromKm * 1000 * toKm * 1000 / ((fromKm + toKm) * 1000));
    }

    /** How far the earth bulges between two points, in m. */
    public static double bulgeM(double fromKm, double toKm) {
        return fromKm * toKm / BULGE;
    }

    /** The parameter of diffraction of an edge so far above the line between the antennas, in m; negative below it. */
    public static double v(double aboveM, double fromKm, double toKm, double mhz) {
        double radius = fresnelM(1, fromKm, toKm, mhz);
        return radius == 0 ? Double.NEGATIVE_INFINITY : aboveM * Math.sqrt(2) / radius;
    }

    /** The loss in dB over an edge: J(0) = 6.03; 0 at −0.78 and below. */
    public static double lossDb(double v) {
        return v <= FREE ? 0 : 6.9 + 20 * Math.log10(Math.sqrt((v - 0.1) * (v - 0.1) + 1) + v - 0.1);
    }
}
