package syntoma.core.design;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How far a designed trial is, by what was logged of it. A run that failed was made: it is a result.
 *
 * @param visits as designed, in their order
 * @param made how many runs of each visit there are
 * @param runs so many are wanted at each
 */
public record Remaining(List<Visit> visits, List<Integer> made, int runs) {
    /** A run that was logged: in which round, of which contender, by its place. */
    public record Made(int round, int contender) {}

    /** Counts what was logged. */
    public static Remaining of(List<Visit> visits, int runs, List<Made> logged) {
        Map<Made, Integer> counts = new HashMap<>();
        logged.forEach(m -> counts.merge(m, 1, Integer::sum));
        return new Remaining(
                visits,
                visits.stream()
                        .map(v -> counts.getOrDefault(new Made(v.round(), v.contender()), 0))
                        .toList(),
                runs);
    }

    /** The place of the visit that comes next: the first that lacks a run; empty when all are made. */
    public Optional<Integer> next() {
        for (int i = 0; i < visits.size(); i++) {
            if (made.get(i) < runs) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }
}
