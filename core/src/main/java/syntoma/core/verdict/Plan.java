package syntoma.core.verdict;

import java.util.Optional;
import syntoma.core.unit.Values;

/**
 * What was settled before a trial's first round.
 *
 * @param rounds so many were planned, 3 to 20
 * @param moderatedVariance what the trials before it tell of the spread; empty under three of them
 */
public record Plan(int rounds, Optional<ModeratedVariance> moderatedVariance) {
    public Plan {
        Values.within("planned rounds", rounds, InterimLooks.FEWEST, InterimLooks.MOST, "");
    }

    /** The nominal level at which the trial is looked at after so many rounds. */
    double level(int made) {
        return isPast(made)
                ? InterimLooks.PAST_THE_PLAN
                : InterimLooks.level(
                        rounds,
                        moderatedVariance.map(ModeratedVariance::degrees).orElse(0.0));
    }

    /** Whether more rounds were made than planned. */
    boolean isPast(int made) {
        return made > rounds;
    }
}
