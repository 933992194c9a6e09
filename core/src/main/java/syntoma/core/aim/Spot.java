package syntoma.core.aim;

import syntoma.core.unit.Values;

/**
 * A place on WGS-84, in degrees.
 *
 * @param lat −90 to 90
 * @param lon −180 to 180
 */
public record Spot(double lat, double lon) {
    public Spot {
        Values.within("lat", lat, -90, 90, "degrees");
        Values.within("lon", lon, -180, 180, "degrees");
    }
}
