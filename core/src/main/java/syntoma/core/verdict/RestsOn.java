package syntoma.core.verdict;

import java.util.Optional;
import syntoma.core.trial.Block;

/**
 * The one round that a verdict rests on: without it the verdict would be another. Of several, the one whose leaving moves
 * the estimate most.
 *
 * @param round the block
 * @param verdictWithout what the verdict would be
 */
public record RestsOn(Block.Key round, Verdict verdictWithout) {

    /** Empty where no single round changes the verdict, or where too few would be left to tell. */
    static Optional<RestsOn> among(Pairing pairing, LeaveOneOut others, Verdict with, Judge judge) {
        int n = pairing.rounds().size();
        if (n <= InterimLooks.FEWEST || judge.isCapped()) {
            return Optional.empty();
        }
        double degrees = others.without(0).degrees();
        double critical = InterimLooks.critical(judge.smallestShown(), degrees);
        double decisive = InterimLooks.critical(judge.decisive(), degrees);
        double mean = pairing.effectMean();
        double most = -1;
        Optional<RestsOn> rests = Optional.empty();
        for (int i = 0; i < n; i++) {
            Effect rest = others.without(i);
            double error = rest.standardError();
            Verdict without = judge.of(rest.mean().orElseThrow(), critical * error, decisive * error);
            double moved = Math.abs(rest.mean().orElseThrow() - mean);
            if (without != with && moved > most) {
                most = moved;
                rests = Optional.of(new RestsOn(pairing.rounds().get(i).key(), without));
            }
        }
        return rests;
    }
}
