package syntoma.core.advice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * An option with what it may be expected to bring.
 *
 * @param chance that a run meets the need, 0 to 1
 * @param uncertain by how much the chance moves where the mean of its figures lies one standard deviation off
 */
public record Advised(Option option, Outlook outlook, double chance, double uncertain) {
    /** Chances that are no farther apart count as equal (methods, section 13). */
    public static final double EQUAL = 0.05;

    /** However little is known, chances farther apart than this do not count as equal: it would be hiding what is known. Chosen. */
    private static final double EQUAL_AT_MOST = 0.1;

    /** Nothing is promised with more than that after one run, or none; chosen. */
    public static final double MOST_AFTER_ONE_RUN = 0.7;

    private static final double ONE_SD = 1;

    /** So many runs that nothing is unknown any more of the mean. */
    private static final int MANY_RUNS = 10_000;

    private static final Comparator<Advised> BY_CHANCE =
            Comparator.comparingDouble(Advised::chance).reversed();

    private static final Comparator<Advised> BY_EFFORT = Comparator.<Advised>comparingDouble(a -> a.option.minutes())
            .thenComparingDouble(a -> a.option.pricePerGb().orElse(Double.POSITIVE_INFINITY))
            .thenComparing(BY_CHANCE);

    /**
     * An option with its chance.
     *
     * @param runs so many there were of it, anywhere
     */
    public static Advised of(Option option, Outlook outlook, Outlook.Asked asked, int runs) {
        double chance = outlook.chance(asked);
        double up = outlook.tested(ONE_SD, MANY_RUNS).chance(asked);
        double down = outlook.tested(-ONE_SD, MANY_RUNS).chance(asked);
        return new Advised(
                option, outlook, runs > 1 ? chance : Math.min(chance, MOST_AFTER_ONE_RUN), Math.abs(up - down) / 2);
    }

    /**
     * In the order in which to offer them: by the chance to meet the need; of those that are about as likely as the best that is left,
     * the one that is the least work, then the one whose data costs least.
     */
    public static List<Advised> ranked(List<Advised> options) {
        List<Advised> left = new ArrayList<>(options);
        left.sort(BY_CHANCE);
        List<Advised> ranked = new ArrayList<>();
        while (!left.isEmpty()) {
            Advised best = left.get(0);
            Advised next = left.stream()
                    .filter(a -> a.isAboutAsLikelyAs(best))
                    .min(BY_EFFORT)
                    .orElseThrow();
            left.remove(next);
            ranked.add(next);
        }
        return List.copyOf(ranked);
    }

    /** Whether the chances of the two differ by less than they are uncertain: the standard deviation of their difference. */
    boolean isAboutAsLikelyAs(Advised other) {
        double ofBoth = Math.hypot(uncertain, other.uncertain);
        return Math.abs(chance - other.chance) <= Math.max(EQUAL, Math.min(EQUAL_AT_MOST, ofBoth));
    }
}
