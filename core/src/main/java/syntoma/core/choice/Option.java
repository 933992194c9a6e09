package syntoma.core.choice;

import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * One of the things to choose between, with what matters for the need. What is not known is empty.
 *
 * <pre>{@code
 * Option dome = new Option(
 *         "Dome", List.of(), 4, OptionalInt.of(2), OptionalDouble.of(12), 3, new Price(240, false, false),
 *         OptionalDouble.empty(), OptionalDouble.empty());
 * dome.pricePerDb() // 20
 * }</pre>
 *
 * @param essentials the must-haves of the need, and whether it has them
 * @param bandsWorking of the carrier's bands, how many work
 * @param streams antenna streams
 * @param meanGainDb predicted ΔRSRP, mean over those of the carrier's bands on which it is known; one that does not get through
 *     counts with 0 dB, like the device's own antenna; empty where it is known on none
 * @param gainHalfWidthDb of the mean, of what the chain itself may be off by
 * @param price of all parts that are not owned yet, with what else must be bought
 * @param whPerDay energy a day
 * @param batteryShare of the battery's content a day
 */
public record Option(
        String name,
        List<Essential> essentials,
        int bandsWorking,
        OptionalInt streams,
        OptionalDouble meanGainDb,
        double gainHalfWidthDb,
        Price price,
        OptionalDouble whPerDay,
        OptionalDouble batteryShare) {

    /** Whether something that cannot be done without is there. */
    public enum Met {
        YES("yes"),
        NO("no"),
        UNKNOWN("unknown");

        private final String label;

        Met(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        static Met of(boolean met) {
            return met ? YES : NO;
        }
    }

    /** Something that cannot be done without. */
    public record Essential(String name, Met met) {}

    /** Whether all that cannot be done without is there for certain. */
    public boolean meetsNeed() {
        return essentials.stream().allMatch(m -> m.met() == Met.YES);
    }

    /** Whether something that cannot be done without is missing for certain. */
    public boolean fails() {
        return essentials.stream().anyMatch(m -> m.met() == Met.NO);
    }

    /** What is missing for certain. */
    List<String> lacks() {
        return essentials.stream()
                .filter(m -> m.met() == Met.NO)
                .map(Essential::name)
                .toList();
    }

    /** Price per dB of predicted gain; empty without a gain. */
    public OptionalDouble pricePerDb() {
        return !price.isOpen() && meanGainDb.orElse(0) > 0
                ? OptionalDouble.of(price.knownPart() / meanGainDb.getAsDouble())
                : OptionalDouble.empty();
    }

    /** Price per antenna stream. */
    public OptionalDouble pricePerStream() {
        return !price.isOpen() && streams.orElse(0) > 0
                ? OptionalDouble.of(price.knownPart() / streams.getAsInt())
                : OptionalDouble.empty();
    }
}
