package syntoma.core.verdict;

import java.time.Instant;
import syntoma.core.trial.Block;

/**
 * One round in which both setups have the metric.
 *
 * @param key the block
 * @param baselineAt when the baseline's first counted run was taken
 * @param candidateAt when the candidate's first counted run was taken
 * @param baseline median of the baseline's runs, in the metric's unit
 * @param candidate median of the candidate's runs, in the metric's unit
 * @param difference candidate − baseline on the scale of the computation
 */
public record PairedRound(
        Block.Key key, Instant baselineAt, Instant candidateAt, double baseline, double candidate, double difference) {

    /** The same with candidate and baseline in each other's place. */
    PairedRound swapped() {
        return new PairedRound(key, candidateAt, baselineAt, candidate, baseline, -difference);
    }
}
