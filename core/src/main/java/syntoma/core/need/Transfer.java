package syntoma.core.need;

import java.time.Duration;
import syntoma.core.unit.Values;

/**
 * Amounts of data, rates and times: GB are 10⁹ byte, Mb/s are 10⁶ bit/s.
 *
 * <pre>{@code
 * Transfer.gb(300, 10)   // 0.375
 * Transfer.mbps(18, 8)   // 5.00
 * Transfer.time(18, 12)  // PT3H20M
 * }</pre>
 */
public final class Transfer {
    private static final double MEGABITS_PER_GB = 8_000;

    private Transfer() {}

    /** GB moved in so many seconds. 300 Mb/s for 10 s: 0.375 GB. */
    public static double gb(double mbps, double seconds) {
        return mbps * seconds / MEGABITS_PER_GB;
    }

    /** The rate in Mb/s that moves so many GB in so many hours. 11 GB in 8 h: 3.06 Mb/s. */
    public static double mbps(double gb, double hours) {
        Values.within("hours", hours, 0.01, 24 * 31.0, "h");
        return gb * MEGABITS_PER_GB / (hours * 3600);
    }

    /** The time for so many GB. 11 GB at 12.4 Mb/s: 1 h 58 min. */
    public static Duration time(double gb, double mbps) {
        Values.within("rate", mbps, 0.001, 1e6, "Mb/s");
        return Duration.ofSeconds(Math.round(gb * MEGABITS_PER_GB / mbps));
    }
}
