package syntoma.core.advice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * An option with what it may be expected to bring.
 *
 * @param chance that a run meets the need, 0 to 1
 */
public record Advised(Option option, Outlook outlook, double chance) {
    /** Chances that are no farther apart count as equal (methods, section 13). */
    public static final double EQUAL = 0.05;

    private static final Comparator<Advised> BY_CHANCE =
            Comparator.comparingDouble(Advised::chance).reversed();

    private static final Comparator<Advised> BY_EFFORT = Comparator.<Advised>comparingDouble(a -> a.option.minutes())
            .thenComparingDouble(a -> a.option.pricePerGb().orElse(Double.POSITIVE_INFINITY))
            .thenComparing(BY_CHANCE);

    /**
     * In the order in which to offer them: by the chance to meet the need; of those within five points of the best that is left, the
     * one that is the least work, then the one whose data costs least.
     */
    public static List<Advised> ranked(List<Option> options, List<Outlook> outlooks, Outlook.Asked asked) {
        List<Advised> left = new ArrayList<>();
        for (int i = 0; i < options.size(); i++) {
            Outlook outlook = outlooks.get(i);
            left.add(new Advised(options.get(i), outlook, outlook.chance(asked)));
        }
        left.sort(BY_CHANCE);
        List<Advised> ranked = new ArrayList<>();
        while (!left.isEmpty()) {
            double best = left.get(0).chance;
            Advised next = left.stream()
                    .takeWhile(a -> a.chance >= best - EQUAL)
                    .min(BY_EFFORT)
                    .orElseThrow();
            left.remove(next);
            ranked.add(next);
        }
        return List.copyOf(ranked);
    }
}
