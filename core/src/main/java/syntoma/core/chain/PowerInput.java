package syntoma.core.chain;

import java.util.OptionalDouble;
import java.util.Set;

/**
 * What a device or a booster takes.
 *
 * @param isMainsOnly whether it runs from its mains adapter alone
 * @param feeds how it can be fed; none when the sheet does not say
 * @param lowV lowest input of its DC socket or terminal in V; empty when the sheet does not say
 * @param highV highest input in V
 * @param passiveV of passive PoE
 * @param drawW usual draw in W
 * @param peakW the most it draws
 */
public record PowerInput(
        boolean isMainsOnly,
        Set<Feed> feeds,
        OptionalDouble lowV,
        OptionalDouble highV,
        OptionalDouble passiveV,
        OptionalDouble drawW,
        OptionalDouble peakW) {
    /** Nothing is stated. */
    public static final PowerInput UNKNOWN = new PowerInput(
            false,
            Set.of(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty());

    /** Whether it can be fed so. */
    public boolean takes(Feed feed) {
        return feeds.contains(feed);
    }

    /** The most it draws as far as that is stated: the peak, else the usual draw. */
    public OptionalDouble mostW() {
        return peakW.isPresent() ? peakW : drawW;
    }
}
