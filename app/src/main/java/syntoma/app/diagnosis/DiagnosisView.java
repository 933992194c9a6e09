package syntoma.app.diagnosis;

import java.util.List;
import java.util.Optional;
import org.springframework.lang.Nullable;
import syntoma.core.diagnosis.CellDay;

/**
 * Why it is slow here.
 *
 * @param headline the first claim, or that nothing points to a cause
 * @param about what was looked at: setup, carrier and campsite
 * @param claims in the order in which to look
 * @param telling the measurement that would tell two of them apart; null where none would
 * @param lookedFor what was looked for, where nothing was found; null where something was, or where nothing could be looked for
 * @param day of the cell in use, or of the carrier at the campsite; null where nothing was run
 */
record DiagnosisView(
        String headline,
        String about,
        List<ClaimView> claims,
        @Nullable String lookedFor,
        @Nullable TellingView telling,
        @Nullable DayView day) {

    /** @param sure surely, likely or perhaps */
    record ClaimView(String cause, String sure, String says, List<String> evidence, String next) {}

    /** @param how run, other-carrier, other-setup, morning, phone or aim */
    record TellingView(String how, String says) {}

    /**
     * The hours of the day.
     *
     * @param of which cell, in words
     * @param upload when to send the usual upload at night, in a sentence; null where that is not known
     */
    record DayView(String of, int runs, List<HourView> hours, @Nullable String upload) {}

    /** An hour; without runs its figures are null. */
    record HourView(
            int hour, int runs, @Nullable SpreadView down, @Nullable SpreadView up, @Nullable SpreadView loaded) {}

    /** Lowest, median and highest of the hour. */
    record SpreadView(double low, double middle, double high) {
        @Nullable
        static SpreadView of(Optional<CellDay.Spread> spread) {
            return spread.map(s -> new SpreadView(s.low(), s.middle(), s.high()))
                    .orElse(null);
        }
    }
}
