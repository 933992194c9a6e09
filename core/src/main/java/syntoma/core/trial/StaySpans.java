package syntoma.core.trial;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * Derives stays from a log that has none: consecutive measurements at one campsite are one stay; another campsite in
 * between, or a gap of more than 72 hours, begins the next. Feed measurements in the order of time, or against it.
 */
public final class StaySpans {
    /** The longest silence within one stay: chosen, because a long weekend without a measurement is no departure. */
    public static final Duration LONGEST_GAP = Duration.ofHours(72);

    private final List<Span> done = new ArrayList<>();
    private Span open;

    /** One visit, from its first to its last measurement. */
    public record Span(long campsite, Instant from, Instant to) {
        private Duration gap(Instant moment) {
            return moment.isBefore(from) ? Duration.between(moment, from) : Duration.between(to, moment);
        }

        private Span with(Instant moment) {
            return new Span(campsite, moment.isBefore(from) ? moment : from, moment.isAfter(to) ? moment : to);
        }
    }

    /** Adds the next measurement, in the order of time or against it. */
    public void add(long campsite, Instant takenAt) {
        if (open != null && open.campsite == campsite && open.gap(takenAt).compareTo(LONGEST_GAP) <= 0) {
            open = open.with(takenAt);
            return;
        }
        if (open != null) {
            done.add(open);
        }
        open = new Span(campsite, takenAt, takenAt);
    }

    /** The stays so far, in the order of time. */
    public List<Span> inOrder() {
        List<Span> all = new ArrayList<>(done);
        if (open != null) {
            all.add(open);
        }
        if (all.size() > 1 && all.get(0).from.isAfter(open.from)) {
            Collections.reverse(all);
        }
        return all;
    }
}
