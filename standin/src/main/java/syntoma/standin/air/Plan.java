package syntoma.standin.air;

import java.time.LocalDate;
import java.time.OffsetDateTime;

/**
 * What was paid for: beyond the allowance the network gives a trickle until the reset day, or the cap if there is one at all.
 *
 * @param capMbps infinite for none
 * @param allowanceGb a month
 */
public record Plan(double capMbps, double allowanceGb, int resetDay) {
    /** What is left once the allowance is used up. */
    public static final double USED_UP_MBPS = 0.5;

    /** The day on which the month of a moment began. */
    public LocalDate month(OffsetDateTime at) {
        LocalDate day = at.toLocalDate();
        LocalDate reset = day.withDayOfMonth(Math.min(resetDay, day.lengthOfMonth()));
        return day.isBefore(reset) ? reset.minusMonths(1) : reset;
    }

    /** The rate that is let through after so much of the month's data. */
    public double mbps(double usedGb) {
        return usedGb >= allowanceGb ? Math.min(capMbps, USED_UP_MBPS) : capMbps;
    }
}
