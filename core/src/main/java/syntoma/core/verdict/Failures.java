package syntoma.core.verdict;

import java.util.List;
import syntoma.core.trial.Block;

/**
 * Failures of two setups.
 *
 * @param mcnemarP over the rounds in which both were tried
 * @param bothTried the rounds in which both were tried
 * @param candidateFailedRounds those of them in which no run of the candidate ended ok
 * @param candidateOnlyFailed those of them in which the baseline ran and the candidate did not
 * @param baselineOnlyFailed those of them in which the candidate ran and the baseline did not
 */
public record Failures(
        Share baseline,
        Share candidate,
        double mcnemarP,
        int bothTried,
        int candidateFailedRounds,
        int candidateOnlyFailed,
        int baselineOnlyFailed) {

    static Failures of(List<Block> blocks, String baseline, String candidate) {
        int onlyBaseline = 0;
        int onlyCandidate = 0;
        int both = 0;
        int failedRounds = 0;
        for (Block block : blocks) {
            if (!block.tried(baseline) || !block.tried(candidate)) {
                continue;
            }
            both++;
            boolean baselineRan = block.ran(baseline);
            boolean candidateRan = block.ran(candidate);
            failedRounds += candidateRan ? 0 : 1;
            onlyBaseline += baselineRan && !candidateRan ? 1 : 0;
            onlyCandidate += candidateRan && !baselineRan ? 1 : 0;
        }
        return new Failures(
                share(blocks, baseline),
                share(blocks, candidate),
                McNemar.p(onlyBaseline, onlyCandidate),
                both,
                failedRounds,
                onlyBaseline,
                onlyCandidate);
    }

    /** Whether the candidate fails more often than chance explains, at 5 %. */
    boolean againstCandidate() {
        return mcnemarP < Looks.SINGLE && candidateOnlyFailed > baselineOnlyFailed;
    }

    private static Share share(List<Block> blocks, String setup) {
        int tried = 0;
        int failed = 0;
        for (Block block : blocks) {
            for (var sample : block.samples()) {
                if (sample.setup().equals(setup)) {
                    tried++;
                    failed += sample.ok() ? 0 : 1;
                }
            }
        }
        return Share.of(tried, failed);
    }
}
