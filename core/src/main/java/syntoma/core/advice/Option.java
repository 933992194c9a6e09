package syntoma.core.advice;

import java.util.OptionalDouble;

/**
 * A setup on a carrier that is on board.
 *
 * @param promisedDb what its data sheets promise, in dB over an antenna without gain outside at the height of the vehicle; empty
 *     where they do not say
 * @param minutes of work until it is up, from what stands now
 * @param capMbps what its plan lets through; empty for no cap
 * @param pricePerGb in units of money; empty where it is not known
 */
public record Option(
        String setup,
        String carrier,
        OptionalDouble promisedDb,
        double minutes,
        OptionalDouble capMbps,
        OptionalDouble pricePerGb) {
    /** What a phone outside the vehicle shows counts as a setup of its own. */
    static final String PHONE_OUTSIDE = "\0phone outside";

    static final String PHONE_INSIDE = "\0phone inside";

    static boolean isPhone(String setup) {
        return setup.startsWith("\0");
    }
}
