package syntoma.core.verdict;

import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Under what the measurements of a comparison were made.
 *
 * @param carriers all that were in use, in order
 * @param servers all test servers, in order
 * @param isEvening whether any was in the evening
 * @param isEarlier whether any was before
 */
public record Circumstances(Set<String> carriers, Set<String> servers, boolean isEvening, boolean isEarlier) {
    /** The hour, in the time of the place, from which networks are busier: chosen as when people are home. */
    static final int EVENING = 18;

    /**
     * One measurement.
     *
     * @param takenAt in the time of the place
     * @param carrier empty text when not stated
     * @param server empty text when not stated
     */
    public record MeasuredWhere(OffsetDateTime takenAt, String carrier, String server) {
        private boolean isInEvening() {
            return takenAt.getHour() >= EVENING;
        }
    }

    public static Circumstances of(Collection<MeasuredWhere> measurements) {
        return new Circumstances(
                statedValues(measurements, MeasuredWhere::carrier),
                statedValues(measurements, MeasuredWhere::server),
                measurements.stream().anyMatch(MeasuredWhere::isInEvening),
                measurements.stream().anyMatch(m -> !m.isInEvening()));
    }

    private static Set<String> statedValues(
            Collection<MeasuredWhere> measurements, Function<MeasuredWhere, String> part) {
        return measurements.stream()
                .map(part)
                .filter(text -> !text.isEmpty())
                .collect(Collectors.toCollection(TreeSet::new));
    }
}
