package syntoma.core.need;

import java.util.OptionalDouble;
import syntoma.core.unit.Values;

/**
 * What the connection is for, as thresholds.
 *
 * <pre>{@code
 * Need calls = BuiltInNeeds.all().get(2);
 * calls.name()     // Video calls
 * calls.gbAMonth() // 243.0
 * }</pre>
 *
 * @param downMbps empty when download does not matter
 * @param loadedMs highest latency under load
 * @param lossPct highest loss
 * @param hours in which part of the day
 * @param hoursADay so long each day
 */
public record Need(
        String name,
        OptionalDouble downMbps,
        OptionalDouble upMbps,
        OptionalDouble loadedMs,
        OptionalDouble lossPct,
        PartOfDay hours,
        double hoursADay) {

    /** The rates that can be asked for, in Mb/s. */
    public static final double LEAST_MBPS = 0.01;

    public static final double MOST_MBPS = 10_000;

    public Need {
        downMbps.ifPresent(v -> Values.within("download", v, LEAST_MBPS, MOST_MBPS, "Mb/s"));
        upMbps.ifPresent(v -> Values.within("upload", v, LEAST_MBPS, MOST_MBPS, "Mb/s"));
        loadedMs.ifPresent(v -> Values.within("latency under load", v, 1, 60_000, "ms"));
        lossPct.ifPresent(v -> Values.within("loss", v, 0, 100, "%"));
        Values.within("hours a day", hoursADay, 0, 24, "h");
    }

    /** GB (10⁹ byte) a month of 30 days when it runs at its thresholds. */
    public double gbAMonth() {
        double mbps = downMbps.orElse(0) + upMbps.orElse(0);
        return Transfer.gb(mbps, hoursADay * 3600) * 30;
    }
}
