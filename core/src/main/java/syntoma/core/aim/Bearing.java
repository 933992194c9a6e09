package syntoma.core.aim;

import net.sf.geographiclib.Geodesic;
import net.sf.geographiclib.GeodesicData;
import net.sf.geographiclib.GeodesicMask;
import syntoma.core.unit.Values;

/**
 * From one place to another along the geodesic on WGS-84, by GeographicLib (Karney 2013), which is exact to nanometres.
 *
 * <pre>{@code
 * Bearing bearing = Bearing.between(new Spot(63, 21), new Spot(64, 21));
 * bearing.trueDeg()          // 0.0
 * bearing.km()               // 111.5
 * Bearing.magnetic(41, 7)    // 34.0
 * }</pre>
 *
 * @param trueDeg from true north at the first place, 0 to 360
 * @param km along the ground
 */
public record Bearing(double trueDeg, double km) {
    /** From here on a tower is beyond the horizon of a vehicle: 60 m of tower and 3 m of antenna see each other over some 40 km. */
    public static final double FAR_KM = 60;

    private static final double MOST_DECLINATION = 90;

    /** From one place to another. */
    public static Bearing between(Spot from, Spot to) {
        GeodesicData line = Geodesic.WGS84.Inverse(
                from.lat(), from.lon(), to.lat(), to.lon(), GeodesicMask.AZIMUTH | GeodesicMask.DISTANCE);
        return new Bearing(positive(line.azi1), line.s12 / 1_000);
    }

    /** Whether a tower there is farther than one is heard, but from a mountain. */
    public boolean isFar() {
        return km > FAR_KM;
    }

    /**
     * What a compass shows for it.
     *
     * @param declinationDeg by how much the needle points east of true north; west is negative
     */
    public double magneticDeg(double declinationDeg) {
        return magnetic(trueDeg, declinationDeg);
    }

    /** What a compass shows for a true heading. */
    public static double magnetic(double trueDeg, double declinationDeg) {
        return positive(trueDeg - checkDeclination(declinationDeg));
    }

    /** The true heading of what a compass shows. */
    public static double ofMagnetic(double magneticDeg, double declinationDeg) {
        return positive(magneticDeg + checkDeclination(declinationDeg));
    }

    private static double checkDeclination(double declinationDeg) {
        return Values.within("declination", declinationDeg, -MOST_DECLINATION, MOST_DECLINATION, "degrees");
    }

    /** An angle from 0 up to 360. */
    static double positive(double deg) {
        double turned = deg % 360;
        return turned < 0 ? turned + 360 : turned;
    }

    /** By how much one heading lies beside another, −180 to 180. */
    static double difference(double deg, double from) {
        return Math.IEEEremainder(deg - from, 360);
    }
}
