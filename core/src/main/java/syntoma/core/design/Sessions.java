package syntoma.core.design;

import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;

/**
 * A trial spread over times of day, so that it does not tell of one hour alone. Each time of day has as many rounds as every other;
 * where one is over, the next begins at the next of the times.
 *
 * <pre>{@code
 * Sessions.rounds(5, 2) // 6
 * }</pre>
 */
public final class Sessions {
    /** More of them no day has room for. */
    public static final int MOST = 6;

    private Sessions() {}

    /**
     * The rounds that are made at one time of day.
     *
     * @param at in the time of the place
     */
    public record Session(LocalDateTime at, int fromRound, int toRound) {}

    /** The fewest rounds that can be shared out evenly and are at least so many. */
    public static int rounds(int wanted, int sessions) {
        return (wanted + sessions - 1) / sessions * sessions;
    }

    /** When a trial's rounds are made, from the first of the times that is still to come. */
    public static List<Session> of(int rounds, List<LocalTime> times, LocalDateTime now) {
        List<LocalTime> sorted = times.stream().sorted().toList();
        int each = rounds / sorted.size();
        List<Session> sessions = new ArrayList<>();
        LocalDateTime before = now;
        for (int i = 0; i < sorted.size(); i++) {
            LocalDateTime at = next(before, sorted);
            sessions.add(new Session(at, 1 + i * each, (i + 1) * each));
            before = at;
        }
        return List.copyOf(sessions);
    }

    private static LocalDateTime next(LocalDateTime after, List<LocalTime> sorted) {
        return sorted.stream()
                .map(time -> after.toLocalDate().atTime(time))
                .filter(at -> at.isAfter(after))
                .findFirst()
                .orElseGet(() -> after.toLocalDate().plusDays(1).atTime(sorted.get(0)));
    }
}
