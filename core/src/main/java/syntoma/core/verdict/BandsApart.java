package syntoma.core.verdict;

import java.util.Collections;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * Rounds in which a radio metric was measured on other bands with one setup than with the other, so that nothing can be compared.
 *
 * @param rounds one or more
 * @param baseline the bands of the baseline in them
 * @param candidate the bands of the candidate in them
 */
public record BandsApart(int rounds, SortedSet<String> baseline, SortedSet<String> candidate) {
    public BandsApart {
        baseline = Collections.unmodifiableSortedSet(new TreeSet<>(baseline));
        candidate = Collections.unmodifiableSortedSet(new TreeSet<>(candidate));
    }

    /** With one more round. */
    BandsApart and(Set<String> ofBaseline, Set<String> ofCandidate) {
        SortedSet<String> one = new TreeSet<>(baseline);
        SortedSet<String> other = new TreeSet<>(candidate);
        one.addAll(ofBaseline);
        other.addAll(ofCandidate);
        return new BandsApart(rounds + 1, one, other);
    }

    BandsApart swapped() {
        return new BandsApart(rounds, candidate, baseline);
    }

    /** The bands of both, as one says them: B20 and B3. */
    String words() {
        return String.join(" or ", baseline) + " and " + String.join(" or ", candidate);
    }
}
