package syntoma.core.advice;

import java.util.OptionalDouble;

/**
 * One measurement of the past.
 *
 * @param campsite by its number
 * @param stay by its number
 * @param order the later, the higher
 * @param hasSucceeded whether it came about; of one that did not there are no figures
 * @param hasNoService whether it did not because the device heard nothing
 * @param loadedMs the higher of the latencies under load
 */
public record PastMeasurement(
        String setup,
        String carrier,
        long campsite,
        long stay,
        long order,
        DayPart part,
        boolean hasSucceeded,
        boolean hasNoService,
        OptionalDouble rsrpDbm,
        OptionalDouble sinrDb,
        OptionalDouble downMbps,
        OptionalDouble upMbps,
        OptionalDouble loadedMs,
        OptionalDouble lossPct) {

    /** Whether it tells a speed or a latency, or failed to. */
    public boolean isRun() {
        return !hasSucceeded || downMbps.isPresent() || upMbps.isPresent() || loadedMs.isPresent();
    }

    /** “No service” on a phone counts as so much: just under what a device still holds on to. */
    public static final double NO_SERVICE_DBM = -124;

    /** A level that was read on a phone, in dBm. */
    public static PastMeasurement phone(
            boolean inside, String carrier, long campsite, long stay, long order, DayPart part, double levelDbm) {
        OptionalDouble none = OptionalDouble.empty();
        return new PastMeasurement(
                inside ? Option.PHONE_INSIDE : Option.PHONE_OUTSIDE,
                carrier,
                campsite,
                stay,
                order,
                part,
                true,
                levelDbm <= NO_SERVICE_DBM,
                OptionalDouble.of(levelDbm),
                none,
                none,
                none,
                none,
                none);
    }
}
