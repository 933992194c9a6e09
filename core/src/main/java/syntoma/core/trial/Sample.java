package syntoma.core.trial;

import java.time.Instant;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * What a comparison needs of one measurement, for one metric.
 *
 * @param stay the visit it belongs to
 * @param sim the SIM or, where that is not known, the carrier; empty text when neither is
 * @param trial the trial it belongs to, empty text for none
 * @param round its round within the trial, empty for none
 * @param band the band in use, empty text when not stated
 * @param value the metric; missing values are empty
 */
public record Sample(
        Instant takenAt,
        long stay,
        String sim,
        String setup,
        String trial,
        OptionalInt round,
        String band,
        boolean hasSucceeded,
        OptionalDouble value) {

    /** The same under another name of its trial. */
    public Sample ofTrial(String name) {
        return new Sample(takenAt, stay, sim, setup, name, round, band, hasSucceeded, value);
    }

    /** The same attempt with how it was judged as its value; what failed was judged too. */
    public Sample withValue(OptionalDouble as) {
        return new Sample(takenAt, stay, sim, setup, trial, round, band, true, as);
    }

    /** The same whatever SIM it was made on, where the carriers are what is compared. */
    public Sample ofAnySim() {
        return new Sample(takenAt, stay, "", setup, trial, round, band, hasSucceeded, value);
    }

    /** Whether the sample came from an ok run and has the metric. */
    public boolean counts() {
        return hasSucceeded && value.isPresent();
    }
}
