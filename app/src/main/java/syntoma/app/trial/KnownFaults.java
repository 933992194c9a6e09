package syntoma.app.trial;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import syntoma.core.unit.Values;

/** Which setups are known to hear less than they did; told by the room that looks at the whole trip. */
public interface KnownFaults {
    /**
     * The faults of some setups.
     *
     * @param until faults that began later do not count
     */
    List<Fault> of(Collection<String> setups, OffsetDateTime until);

    /** A setup that hears less. @param since the first day of it */
    record Fault(String setup, LocalDate since, double lostDb) {
        private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

        /** What that means for a comparison, in a sentence. */
        public String sentence() {
            return setup + " has heard " + Values.round(lostDb, 1) + " dB less since about " + DAY.format(since)
                    + ": look at its leads and connectors, then compare again.";
        }
    }
}
