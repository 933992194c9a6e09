package syntoma.core.verdict;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import syntoma.core.reading.Figure;

/**
 * A candidate against a baseline on one metric.
 *
 * @param rounds the rounds in which both have the metric
 * @param leftOut rounds in which at least one was tried and that gave no pair
 * @param bandsApart those of them in which both have the metric, on different bands
 * @param estimate ratio candidate / baseline, or difference in dB; empty without a round
 * @param low end of the interval, empty under three rounds
 * @param high end of the interval, empty under three rounds
 * @param level confidence of the interval, such as 0.95
 * @param isPastPlan whether more rounds were made than planned
 * @param plannedLook what the plan's last look came to, once there are rounds past the plan
 * @param moderatedVariance what past trials tell of the spread, where it counts here
 * @param outlook what to measure next; only with {@link Verdict#CANNOT_TELL}
 * @param restsOn the one round without which the verdict would be another
 * @param cappedMbps the rate at which both setups' runs are held by plan or network, empty when they are not
 */
public record Comparison(
        Figure metric,
        String baseline,
        String candidate,
        List<PairedRound> rounds,
        int leftOut,
        Optional<BandsApart> bandsApart,
        OptionalDouble estimate,
        OptionalDouble low,
        OptionalDouble high,
        double level,
        boolean isPastPlan,
        Optional<Comparison> plannedLook,
        Optional<ModeratedVariance> moderatedVariance,
        Verdict verdict,
        Optional<Outlook> outlook,
        List<WildRun> wildRuns,
        Optional<RestsOn> restsOn,
        Failures failures,
        PlainAverages plainAverages,
        OptionalDouble cappedMbps) {

    /** How much better the candidate did, on the scale of the figure, so that more is always better; empty without a round. */
    public OptionalDouble advantage() {
        if (estimate.isEmpty()) {
            return estimate;
        }
        double difference = metric.scale().on(estimate.getAsDouble());
        return OptionalDouble.of(metric.comparing().isHigherBetter() ? difference : -difference);
    }

    /** Rounds of a new trial that would likely settle it; only with {@link Verdict#CANNOT_TELL}, and at most 20. */
    public OptionalInt roundsWanted() {
        return outlook.map(Outlook::newTrial).orElse(OptionalInt.empty());
    }

    /**
     * The same with the decision of the plan's last look, which later rounds do not take back to “can’t tell”: it stays unless the
     * stricter look over all rounds decides otherwise.
     */
    Comparison after(Comparison planned) {
        boolean stays = planned.verdict.isDecided()
                && (verdict == Verdict.CANNOT_TELL || planned.verdict.isSameSideAs(verdict));
        return new Comparison(
                metric,
                baseline,
                candidate,
                rounds,
                leftOut,
                bandsApart,
                estimate,
                low,
                high,
                level,
                isPastPlan,
                Optional.of(planned),
                moderatedVariance,
                stays ? planned.verdict : verdict,
                stays ? Optional.empty() : outlook,
                wildRuns,
                restsOn,
                failures,
                plainAverages,
                cappedMbps);
    }

    /** Whether the plan's last look had decided, and the rounds since then decide otherwise. */
    boolean isChangedSincePlan() {
        return plannedLook
                .filter(p -> p.verdict.isDecided() && p.verdict != verdict)
                .isPresent();
    }

    /** The plan's last look where its decision stands. */
    Optional<Comparison> standingDecision() {
        return plannedLook.filter(p -> p.verdict.isDecided() && p.verdict == verdict);
    }

    /** The baseline's middle over the shared rounds, in the metric's unit; of one round or more. */
    double baselineMiddle() {
        return middle(rounds.stream().mapToDouble(PairedRound::baseline).toArray());
    }

    /** The candidate's middle over the shared rounds, in the metric's unit; of one round or more. */
    double candidateMiddle() {
        return middle(rounds.stream().mapToDouble(PairedRound::candidate).toArray());
    }

    /** The mean on the scale on which setups are compared, so that the estimate leads from one middle to the other. */
    private double middle(double[] values) {
        double sum = 0;
        for (double value : values) {
            sum += metric.scale().on(value);
        }
        return metric.scale().off(sum / values.length);
    }

    /** The whole verdict as a person would say it: what, how sure, and what to do. */
    public String sentence() {
        return new Sentences(this, OverallVerdict.NOTHING_ASKED).fullSentence();
    }

    /** The same, within what the comparison of the two comes to as a whole. */
    public String sentence(OverallVerdict overall) {
        return new Sentences(this, overall).fullSentence();
    }

    /** What and what to do, without what is beneath a headline: interval and rounds. */
    public String headline(OverallVerdict overall) {
        return new Sentences(this, overall).headline();
    }

    /** What alone. */
    String claim() {
        return new Sentences(this, OverallVerdict.NOTHING_ASKED).claim() + ".";
    }

    /** The other one of the two. */
    public String otherThan(String setup) {
        return setup.equals(candidate) ? baseline : candidate;
    }

    /** The one of the two that gave the metric where every run of the other failed. */
    Optional<String> onlyWorking() {
        boolean candidateNever = plainAverages.candidateMean().isEmpty();
        boolean baselineNever = plainAverages.baselineMean().isEmpty();
        if (candidateNever == baselineNever) {
            return Optional.empty();
        }
        Share tries = candidateNever ? failures.candidate() : failures.baseline();
        return tries.attempts() > 0 && tries.failures() == tries.attempts()
                ? Optional.of(candidateNever ? baseline : candidate)
                : Optional.empty();
    }
}
