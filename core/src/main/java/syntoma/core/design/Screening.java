package syntoma.core.design;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.distribution.discrete.BinomialDistribution;
import syntoma.core.design.FollowingTrial.TriedSetup;
import syntoma.core.verdict.Comparison;
import syntoma.core.verdict.InterimLooks;
import syntoma.core.verdict.NeedComparison;

/**
 * More setups than one trial can tell apart: a few rounds with all of them, after which the best go on to a trial of their own.
 *
 * <p>This is one step of sequential halving (Karnin, Koren and Somekh 2013). The trial that follows is measured again, so that its
 * error is that of its own pairs: what was picked here by luck gains nothing by it.
 *
 * <pre>{@code
 * Screening.chance(12, Math.log(2), 0.2) // 0.997
 * }</pre>
 */
public final class Screening {
    /** How many go on, beside the baseline. */
    public static final int KEPT = 4;

    /** The best is to go on with this chance. */
    static final double WANTED = 0.9;

    private static final double WIDEST_Z = 6;
    private static final double STEP_Z = 0.02;
    private static final NormalDistribution STANDARD = new NormalDistribution(0, 1);

    private Screening() {}

    /**
     * The chance that the one that is ahead of all others is among those that go on. With 9 setups of which the best is ahead by no
     * more than nothing it is 4 in 9.
     *
     * @param contenders how many there are, more than {@link #KEPT}
     * @param ahead by how much, on the scale on which the mean of a contender scatters
     * @param sd of the mean of a contender over all rounds, above 0
     */
    public static double chance(int contenders, double ahead, double sd) {
        double sum = 0;
        for (double z = -WIDEST_Z; z <= WIDEST_Z; z += STEP_Z) {
            double better = 1 - STANDARD.cumulativeProbability(z + ahead / sd);
            double kept = new BinomialDistribution(contenders - 1, better).cumulativeProbability(KEPT - 1);
            sum += STANDARD.density(z) * kept * STEP_Z;
        }
        return sum;
    }

    /** The fewest rounds with which that chance is 9 in 10; empty where twenty are too few. @param sdOfRound of one contender */
    static OptionalInt rounds(int contenders, double ahead, double sdOfRound, double usable) {
        return IntStream.rangeClosed(InterimLooks.FEWEST, InterimLooks.MOST)
                .filter(r -> chance(contenders, ahead, sdOfRound / Math.sqrt(r * usable)) >= WANTED)
                .findFirst();
    }

    /**
     * The trial of those that did best; empty where so few were tried that they were in a trial already. The whole need goes first
     * (docs/methods.md#9-verdicts): a setup that met it clearly less often than another one goes on only where places are left.
     *
     * @param against the baseline, each contender on the figure that matters most
     * @param need how often each met the whole need
     */
    public static Optional<FollowingTrial> after(
            List<TriedSetup> tried, List<Comparison> against, NeedComparison need) {
        if (tried.size() <= Question.MOST_CONTENDERS) {
            return Optional.empty();
        }
        List<Comparison> settled = against.stream().filter(Screening::isSettled).toList();
        List<Comparison> ranked = settled.stream()
                .sorted(Comparator.comparing((Comparison c) -> isBehind(c.candidate(), settled, need))
                        .thenComparing(c -> -c.advantage().orElseThrow()))
                .limit(KEPT)
                .toList();
        if (ranked.isEmpty()) {
            return Optional.empty();
        }
        String baseline = ranked.get(0).baseline();
        List<Template.Choice> choices = new ArrayList<>();
        choice(tried, baseline).ifPresent(choices::add);
        ranked.forEach(c -> choice(tried, c.candidate()).ifPresent(choices::add));
        String best = ranked.stream()
                .map(c -> c.candidate() + " (" + need.sharePhrase(c.candidate())
                        + c.metric().scale().format(c.estimate().orElseThrow()) + ")")
                .collect(Collectors.joining(", "));
        return Optional.of(new FollowingTrial(
                "This trial screens " + tried.size() + " setups. Compared with " + baseline + " these did best: " + best
                        + ". A trial of these, with new rounds, decides which is best.",
                "Plan the trial of the best",
                choices));
    }

    /** Whether another one met the whole need clearly more often. */
    private static boolean isBehind(String setup, List<Comparison> settled, NeedComparison need) {
        return settled.stream()
                .map(Comparison::candidate)
                .filter(other -> !other.equals(setup))
                .anyMatch(other -> need.clearlyMore(other, setup).equals(Optional.of(other)));
    }

    /** Whether it ran in half of the rounds at least, and in as many as a verdict takes. */
    private static boolean isSettled(Comparison c) {
        int ran = c.rounds().size();
        return ran >= InterimLooks.FEWEST && 2 * ran >= c.failures().bothTried();
    }

    private static Optional<Template.Choice> choice(List<TriedSetup> tried, String name) {
        return tried.stream().filter(t -> t.isCalled(name)).findFirst().map(TriedSetup::toChoice);
    }
}
