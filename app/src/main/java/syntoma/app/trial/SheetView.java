package syntoma.app.trial;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.stream.IntStream;
import org.springframework.lang.Nullable;

/**
 * A run sheet.
 *
 * @param visits all of them, in their order
 * @param made how many runs of each visit there are
 * @param skipped the places of the visits that are left out
 * @param next the place of the visit that comes next; null when all are made or left out
 * @param stoodAt since when that one stands; null while it does not
 * @param minutesLeft of the whole
 * @param gbLeft that the runs to come take
 * @param minutesOfRun what one run takes
 * @param sessions when its rounds are made, where it is spread over times of day
 * @param pausedAt since when it is paused; null while it is not
 * @param last what was entered last of this trial, by whichever device or hand; null where nothing is logged
 * @param doubts what was logged and does not agree with what was to be measured
 * @param goingOn whether the rounds left are worth it; null under three rounds, and when all are made
 */
record SheetView(
        String campsite,
        String trial,
        int rounds,
        int runs,
        String kind,
        List<DesignView.ContenderView> contenders,
        List<DesignView.VisitView> visits,
        List<Integer> made,
        List<Integer> skipped,
        @Nullable Integer next,
        OffsetDateTime now,
        @Nullable OffsetDateTime stoodAt,
        double minutesLeft,
        double gbLeft,
        double minutesOfRun,
        List<DesignView.TimeOfDay> sessions,
        @Nullable OffsetDateTime pausedAt,
        List<SheetNote> notes,
        @Nullable LastEntryView last,
        List<DoubtView> doubts,
        @Nullable String goingOn) {

    /** Something noted on the sheet, at a visit. */
    record SheetNote(OffsetDateTime at, @Nullable Integer visit, String text) {}

    /** The measurement that an undo would delete. */
    record LastEntryView(long measurement, String setup, String outcome, OffsetDateTime takenAt) {}

    /** A measurement that does not agree with what was to be measured, and why. */
    record DoubtView(long measurement, int round, String setup, List<String> says) {}

    /** What the rounds of one time of day take. */
    double minutes(DesignView.TimeOfDay session) {
        return visits.stream()
                .filter(v -> v.round() >= session.fromRound() && v.round() <= session.toRound())
                .mapToDouble(v -> v.minutes() + v.settleS() / 60.0 + runs * minutesOfRun)
                .sum();
    }

    /** How many of its visits are made or left out. */
    int countDone() {
        return (int) IntStream.range(0, visits.size())
                .filter(i -> made.get(i) >= runs || skipped.contains(i))
                .count();
    }
}
