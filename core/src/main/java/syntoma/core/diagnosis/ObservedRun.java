package syntoma.core.diagnosis;

import java.time.OffsetDateTime;
import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.run.Leg;
import syntoma.core.trial.Outcome;

/**
 * A measurement as a diagnosis looks at it.
 *
 * @param at by the clock of its campsite
 * @param band empty text where it is not known
 * @param cell its identity; empty text where it is not known
 * @param isFlatDown whether its curve is flat (docs/methods.md#7-runs); false without a curve
 * @param leg the vehicle's own Wi-Fi, where a browser made the run over it
 */
public record ObservedRun(
        String setup,
        String carrier,
        long campsite,
        long stay,
        OffsetDateTime at,
        Outcome outcome,
        String band,
        String cell,
        OptionalDouble rsrpDbm,
        OptionalDouble sinrDb,
        OptionalDouble downMbps,
        OptionalDouble upMbps,
        OptionalDouble idleMs,
        OptionalDouble loadedMs,
        boolean isFlatDown,
        boolean isFlatUp,
        Optional<Leg> leg) {

    boolean hasSucceeded() {
        return outcome == Outcome.OK;
    }

    /** Whether it was a run, one that failed among them. */
    boolean isRun() {
        return !hasSucceeded() || downMbps.isPresent() || upMbps.isPresent();
    }
}
