package syntoma.core.verdict;

import java.util.List;
import java.util.Optional;
import syntoma.core.trial.Block;
import syntoma.core.trial.Sample;

/**
 * Failures of two setups.
 *
 * @param mcnemarP over the rounds in which both were tried
 * @param bothTried the rounds in which both were tried
 * @param baselineFailedRounds those of them in which no run of the baseline ended ok
 * @param candidateFailedRounds those of them in which no run of the candidate ended ok
 * @param candidateOnlyFailed those of them in which the baseline ran and the candidate did not
 * @param baselineOnlyFailed those of them in which the candidate ran and the baseline did not
 */
public record Failures(
        Share baseline,
        Share candidate,
        double mcnemarP,
        int bothTried,
        int baselineFailedRounds,
        int candidateFailedRounds,
        int candidateOnlyFailed,
        int baselineOnlyFailed) {

    static Failures of(List<Block> blocks, String baseline, String candidate) {
        Attempts ofBaseline = new Attempts();
        Attempts ofCandidate = new Attempts();
        int onlyBaseline = 0;
        int onlyCandidate = 0;
        int both = 0;
        int baselineFailed = 0;
        int candidateFailed = 0;
        for (Block block : blocks) {
            List<Sample> a = block.of(baseline);
            List<Sample> b = block.of(candidate);
            boolean baselineRan = ofBaseline.add(a);
            boolean candidateRan = ofCandidate.add(b);
            if (a.isEmpty() || b.isEmpty()) {
                continue;
            }
            both++;
            baselineFailed += baselineRan ? 0 : 1;
            candidateFailed += candidateRan ? 0 : 1;
            onlyBaseline += baselineRan && !candidateRan ? 1 : 0;
            onlyCandidate += candidateRan && !baselineRan ? 1 : 0;
        }
        return new Failures(
                ofBaseline.share(),
                ofCandidate.share(),
                McNemar.p(onlyBaseline, onlyCandidate),
                both,
                baselineFailed,
                candidateFailed,
                onlyBaseline,
                onlyCandidate);
    }

    /** Counts one setup's attempts and those of them that failed. */
    private static final class Attempts {
        private int tried;
        private int failed;

        /** Counts a round's, and tells whether at least one of them ended ok. */
        boolean add(List<Sample> samples) {
            boolean ran = false;
            for (Sample sample : samples) {
                tried++;
                failed += sample.hasSucceeded() ? 0 : 1;
                ran |= sample.hasSucceeded();
            }
            return ran;
        }

        Share share() {
            return Share.of(tried, failed);
        }
    }

    /** Whether one of the two fails more often than chance explains, at 5 %. */
    private boolean areUnequal() {
        return mcnemarP < InterimLooks.SINGLE;
    }

    /** Whether the candidate fails more often than chance explains. */
    boolean areOfCandidate() {
        return areUnequal() && candidateOnlyFailed > baselineOnlyFailed;
    }

    /** The one of the two that fails less, where the other fails more often than chance explains; else empty. */
    Optional<String> reliable(String baselineName, String candidateName) {
        return areUnequal() ? Optional.of(areOfCandidate() ? baselineName : candidateName) : Optional.empty();
    }

    /** What to say first where one of the two fails more often than chance explains, and what to do; else empty. */
    public Optional<String> sentence(String baselineName, String candidateName) {
        if (!areUnequal()) {
            return Optional.empty();
        }
        return Optional.of(
                areOfCandidate()
                        ? sentence(candidateName, candidateFailedRounds, baselineName, baselineFailedRounds)
                        : sentence(baselineName, baselineFailedRounds, candidateName, candidateFailedRounds));
    }

    private String sentence(String unreliable, int failedRounds, String other, int otherFailed) {
        return unreliable + " failed in " + failedRounds + " of the " + bothTried
                + " rounds in which both were tried; " + other
                + (otherFailed == 0 ? " ran in all of them" : " failed in " + otherFailed) + ". Use " + other + ".";
    }
}
