package syntoma.core.ledger;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What was used of a plan in one month of it, or in the part of it that has passed.
 *
 * <pre>{@code
 * Usage month = new Usage(3, 1, 0, Optional.of(new Usage.Counter(14, 4, 10)), 10, 30);
 * month.measuringGb()      // 4.0
 * month.usedGb()           // 14.0
 * month.leftGb(60)         // 46.0
 * month.forecastGb()       // 42.0
 * month.emptyAfterDays(40) // 28.57
 * }</pre>
 *
 * @param runsGb of runs that were made here, counted byte by byte
 * @param loggedGb of runs that were logged from elsewhere, about: their rates over the usual ten seconds each way
 * @param liveGb of live readings of a router that is not on the vehicle’s own network
 * @param counter the carrier’s own counter, as it was read last; empty where it was not
 * @param elapsedDays since the month began, until now or its end; parts of days count
 * @param days of the whole month
 */
public record Usage(
        double runsGb, double loggedGb, double liveGb, Optional<Counter> counter, double elapsedDays, double days) {
    /** How long a run takes each way, where nothing says how long it took. */
    public static final double RUN_S = 10;

    /** Before that much of a month has passed, a forecast says nothing. */
    private static final double LEAST_DAYS = 1;

    /**
     * A reading of the carrier’s counter.
     *
     * @param usedGb what it said
     * @param measuredGb what measuring had taken by then
     * @param atDays when it was read, in days since the month began
     */
    public record Counter(double usedGb, double measuredGb, double atDays) {
        /** Everything else that had gone over the plan by then; a counter that lags makes it no less than nothing. */
        double elseGb() {
            return Math.max(0, usedGb - measuredGb);
        }
    }

    /** What measuring took. */
    public double measuringGb() {
        return runsGb + loggedGb + liveGb;
    }

    /**
     * What is known to have been used: what was measured, and everything else as the counter told it, which goes on after its
     * reading as it went before.
     */
    public double usedGb() {
        return measuringGb() + elseGb().orElse(0);
    }

    /** Everything else that went over it, at the rate that the counter told; empty without a reading of the counter. */
    public OptionalDouble elseGb() {
        return counter.map(c ->
                        OptionalDouble.of(c.atDays() < LEAST_DAYS ? c.elseGb() : c.elseGb() / c.atDays() * elapsedDays))
                .orElse(OptionalDouble.empty());
    }

    /** What is left of an allowance; nothing once more was used. */
    public double leftGb(double allowanceGb) {
        return Math.max(0, allowanceGb - usedGb());
    }

    /** What the whole month comes to at this rate; empty in its first day. */
    public OptionalDouble forecastGb() {
        return elapsedDays < LEAST_DAYS
                ? OptionalDouble.empty()
                : OptionalDouble.of(usedGb() / Math.min(elapsedDays, days) * days);
    }

    /** In how many days of the month an allowance is used up at this rate; empty where it lasts. */
    public OptionalDouble emptyAfterDays(double allowanceGb) {
        return elapsedDays < LEAST_DAYS || usedGb() == 0 || usedGb() / elapsedDays * days <= allowanceGb
                ? OptionalDouble.empty()
                : OptionalDouble.of(allowanceGb / (usedGb() / elapsedDays));
    }
}
