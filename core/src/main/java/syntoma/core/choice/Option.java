package syntoma.core.choice;

import java.util.List;
import java.util.OptionalDouble;

/**
 * One of the things to choose between, with what matters for the need. What is not known is empty.
 *
 * @param essentials what the need cannot do without, and whether it is there
 * @param bandsWorking of the carrier's bands, how many work in both directions
 * @param meanGainDb predicted ΔRSRP, mean over the bands that work
 * @param price of all parts that are not owned yet, with what else must be bought
 * @param whPerDay energy a day
 */
public record Option(
        String name,
        List<Essential> essentials,
        int bandsWorking,
        int streams,
        OptionalDouble meanGainDb,
        OptionalDouble price,
        OptionalDouble whPerDay) {

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

        static Met known(boolean met) {
            return met ? YES : NO;
        }
    }

    /** Something that cannot be done without. */
    public record Essential(String what, Met met) {}

    /** Whether all that cannot be done without is there for certain. */
    public boolean meetsNeed() {
        return essentials.stream().allMatch(m -> m.met() == Met.YES);
    }

    /** Whether something that cannot be done without is missing for certain. */
    public boolean fails() {
        return essentials.stream().anyMatch(m -> m.met() == Met.NO);
    }

    /** Price per dB of predicted gain; empty without a gain. */
    public OptionalDouble pricePerDb() {
        return price.isPresent() && meanGainDb.orElse(0) > 0
                ? OptionalDouble.of(price.getAsDouble() / meanGainDb.getAsDouble())
                : OptionalDouble.empty();
    }

    /** Price per antenna stream. */
    public OptionalDouble pricePerStream() {
        return price.isPresent() && streams > 0
                ? OptionalDouble.of(price.getAsDouble() / streams)
                : OptionalDouble.empty();
    }
}
