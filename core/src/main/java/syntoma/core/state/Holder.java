package syntoma.core.state;

import java.util.Optional;

/**
 * A device as far as hands have to do with it.
 *
 * @param slots how many SIMs are in it at a time, an eSIM among them; 1 where its sheet does not say
 * @param lockedTo the carrier whose SIMs alone it takes; empty where it takes all
 * @param isScrewOn whether antennas of its own are screwed onto its ports where no lead is
 */
public record Holder(String name, int slots, Optional<String> lockedTo, boolean isScrewOn) {
    /** The device of setups whose parts nobody has entered. */
    public static final Holder UNKNOWN = new Holder("the device", 1, Optional.empty(), false);

    /** Whether it takes SIMs of a carrier. */
    public boolean takes(String carrier) {
        return lockedTo.isEmpty() || lockedTo.get().equals(carrier);
    }
}
