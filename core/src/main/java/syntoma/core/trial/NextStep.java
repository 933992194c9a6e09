package syntoma.core.trial;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What comes next in a trial whose runs are logged by hand: in a round that is not whole, the first setup that it lacks of those
 * in the round before, in that one's order; after a whole round, the first setup of the next.
 *
 * @param round its number
 * @param setup empty in the first round, which nothing says the setups of
 */
public record NextStep(int round, Optional<String> setup) {

    /** A run that was logged. */
    public record Step(int round, String setup) {}

    /**
     * Follows from what was logged.
     *
     * @param logged in the order of time
     */
    public static NextStep after(List<Step> logged) {
        int last = logged.stream().mapToInt(Step::round).max().orElse(1);
        Set<String> before = setups(logged, last - 1);
        if (before.isEmpty()) {
            return new NextStep(last, Optional.empty());
        }
        Set<String> done = setups(logged, last);
        Optional<String> lacking =
                before.stream().filter(setup -> !done.contains(setup)).findFirst();
        return lacking.isPresent()
                ? new NextStep(last, lacking)
                : new NextStep(last + 1, done.stream().findFirst());
    }

    private static Set<String> setups(List<Step> logged, int round) {
        return logged.stream()
                .filter(step -> step.round == round)
                .map(Step::setup)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }
}
