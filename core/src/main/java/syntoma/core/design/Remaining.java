package syntoma.core.design;

import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * How far a designed trial is, by what was logged of it. A run that failed was made: it is a result.
 *
 * @param visits as designed, in their order
 * @param runsMade how many runs of each visit there are
 * @param runs so many are wanted at each
 * @param skippedVisits the places of those that are left out
 */
public record Remaining(List<Visit> visits, List<Integer> runsMade, int runs, Set<Integer> skippedVisits) {
    public Remaining {
        skippedVisits = Collections.unmodifiableSet(new TreeSet<>(skippedVisits));
    }

    /** A run that was logged: in which round, of which contender, by its place. */
    public record LoggedRun(int round, int contender) {}

    /** Counts what was logged. */
    public static Remaining of(List<Visit> visits, int runs, List<LoggedRun> logged, Set<Integer> skipped) {
        Map<LoggedRun, Integer> counts = new HashMap<>();
        logged.forEach(m -> counts.merge(m, 1, Integer::sum));
        return new Remaining(
                visits,
                visits.stream()
                        .map(v -> counts.getOrDefault(new LoggedRun(v.round(), v.contender()), 0))
                        .toList(),
                runs,
                skipped);
    }

    /** Whether a visit is still to be made. */
    public boolean lacks(int visit) {
        return runsMade.get(visit) < runs && !skippedVisits.contains(visit);
    }

    /** The place of the visit that comes next: the first that is still to be made; empty when there is none. */
    public Optional<Integer> next() {
        for (int i = 0; i < visits.size(); i++) {
            if (lacks(i)) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }
}
