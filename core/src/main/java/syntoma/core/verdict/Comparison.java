package syntoma.core.verdict;

import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import syntoma.core.reading.Figure;

/**
 * A candidate against a baseline on one metric.
 *
 * @param rounds the rounds in which both have the metric
 * @param leftOut rounds in which at least one was tried and that gave no pair
 * @param estimate ratio candidate / baseline, or difference in dB; empty without a round
 * @param low end of the interval, empty under three rounds
 * @param high end of the interval, empty under three rounds
 * @param level confidence of the interval, such as 0.95
 * @param roundsWanted further rounds that would likely tell; only with {@link Verdict#CANNOT_TELL}, and then empty when
 *     more rounds are unlikely to
 * @param cappedMbps the rate at which both setups' runs are held by plan or network, empty when they are not
 */
public record Comparison(
        Figure metric,
        String baseline,
        String candidate,
        List<PairedRound> rounds,
        int leftOut,
        OptionalDouble estimate,
        OptionalDouble low,
        OptionalDouble high,
        double level,
        Verdict verdict,
        OptionalInt roundsWanted,
        List<WildRun> wild,
        Failures failures,
        Plain plain,
        OptionalDouble cappedMbps) {

    /** The verdict as a person would say it, with interval and rounds. */
    public String sentence() {
        return new Sentences(this, true).said();
    }

    /** The same without interval and rounds, which stand beneath a headline. */
    public String headline() {
        return new Sentences(this, false).said();
    }
}
