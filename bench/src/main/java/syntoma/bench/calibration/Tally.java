package syntoma.bench.calibration;

import java.util.ArrayList;
import java.util.List;
import syntoma.core.verdict.Comparison;
import syntoma.core.verdict.Verdict;

/** What came of the simulated trials of a case, counted. */
public final class Tally {
    private final double truth;
    private int trials;
    private int claimed;
    private int wrongWay;
    private int heldAtAll;
    private int heldAtLast;
    private final List<Integer> decidedAfter = new ArrayList<>();

    /**
     * Counts against a truth.
     *
     * @param truth the ratio that is so
     */
    Tally(double truth) {
        this.truth = truth;
    }

    /**
     * Counts a trial.
     *
     * @param looks after each round from the third on, the comparisons that were judged
     */
    void count(List<List<Comparison>> looks) {
        trials++;
        claimed += looks.stream().flatMap(List::stream).anyMatch(Tally::claims) ? 1 : 0;
        wrongWay += looks.stream().flatMap(List::stream).anyMatch(this::isWrongWay) ? 1 : 0;
        heldAtAll += looks.stream().flatMap(List::stream).allMatch(this::holds) ? 1 : 0;
        heldAtLast += looks.get(looks.size() - 1).stream().allMatch(this::holds) ? 1 : 0;
        looks.stream()
                .filter(look -> look.stream().allMatch(c -> c.verdict() != Verdict.CANNOT_TELL && hasInterval(c)))
                .findFirst()
                .ifPresent(look -> decidedAfter.add(look.get(0).rounds().size()));
    }

    private static boolean hasInterval(Comparison c) {
        return c.low().isPresent();
    }

    /** Whether a comparison says that there is a difference. */
    private static boolean claims(Comparison c) {
        return switch (c.verdict()) {
            case BETTER, SLIGHTLY_BETTER, WORSE, SLIGHTLY_WORSE, LESS_RELIABLE -> true;
            case NO_DIFFERENCE, CANNOT_TELL, TOO_FEW, CAPPED -> false;
        };
    }

    private boolean isWrongWay(Comparison c) {
        return claims(c) && (c.estimate().orElseThrow() - 1) * (truth - 1) <= 0;
    }

    private boolean holds(Comparison c) {
        return !hasInterval(c)
                || c.low().getAsDouble() <= truth && truth <= c.high().getAsDouble();
    }

    int trials() {
        return trials;
    }

    /** The share of trials in which a difference was claimed at any look. */
    public double claimed() {
        return (double) claimed / trials;
    }

    /** The share of trials in which the worse was claimed to be better, or anything where there is nothing. */
    public double wrong() {
        return (double) wrongWay / trials;
    }

    /** The share of trials of which the intervals of all looks hold the truth. */
    public double heldAtAll() {
        return (double) heldAtAll / trials;
    }

    /** The share of trials of which the last interval holds the truth. */
    public double heldAtLast() {
        return (double) heldAtLast / trials;
    }

    /** The share of trials that had a verdict after so many rounds. */
    double decidedBy(int rounds) {
        return (double) decidedAfter.stream().filter(after -> after <= rounds).count() / trials;
    }

    /** The share of trials that came to a verdict. */
    public double decided() {
        return (double) decidedAfter.size() / trials;
    }

    /** After how many rounds half of the trials had a verdict; 0 where less than half came to one. */
    public int medianRounds() {
        List<Integer> sorted = decidedAfter.stream().sorted().toList();
        int middle = (trials - 1) / 2;
        return middle < sorted.size() ? sorted.get(middle) : 0;
    }
}
