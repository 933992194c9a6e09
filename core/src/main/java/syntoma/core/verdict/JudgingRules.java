package syntoma.core.verdict;

import java.util.ArrayList;
import java.util.List;
import syntoma.core.unit.Values;

/**
 * By which rules a comparison was judged.
 *
 * @param isPlanned whether the rounds were planned as a trial
 * @param pairs how many pairs of setups were judged as one family
 * @param runsLeftOut measurements at the stay that are not part of the trial it was judged by
 * @param otherSetups setups that were measured too and are not part of the comparison
 */
public record JudgingRules(boolean isPlanned, int pairs, int runsLeftOut, int otherSetups) {

    /** The rules in plain sentences. */
    public List<String> sentences(Comparison c) {
        List<String> said = new ArrayList<>();
        said.add(
                "Setups are compared within each round: as ratios for speeds and latencies, as differences for dB and shares.");
        said.add("The intervals are " + Values.format(Math.round(c.level() * 1000) / 10.0) + " % intervals" + reason(c)
                + ".");
        if (pairs > 1) {
            said.add("Adjusted for " + Amount.count(pairs, "pair")
                    + " of setups, because the best is chosen by the data.");
        }
        if (otherSetups > 0) {
            said.add("These two alone were judged, without regard to the " + Amount.count(otherSetups, "other setup")
                    + " that could have been chosen.");
        }
        c.moderatedVariance()
                .ifPresent(b -> said.add("The run-to-run scatter is estimated with the help of "
                        + Amount.count(b.trials(), "earlier trial") + "."));
        return said;
    }

    private String reason(Comparison c) {
        if (c.isPastPlan()) {
            return ": past the plan each look is judged more strictly";
        }
        return isPlanned ? ": each round of the plan may be looked at without cheating" : ": one look";
    }
}
