package syntoma.core.finding;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * What the trip says on one criterion.
 *
 * @param baseline what all are compared with
 * @param blocks that the model rests on
 * @param stays of those blocks
 * @param withoutStrength blocks that tell nothing by strength, because the baseline’s level is not known in them
 */
public record Finding(
        Criterion criterion,
        String baseline,
        int blocks,
        int stays,
        int withoutStrength,
        List<Unit> units,
        List<Remark> remarks) {

    /** The confidence of every interval. */
    public static final double LEVEL = 0.95;

    /**
     * A setup, carrier or band.
     *
     * @param runs that have the metric and ended ok
     * @param failed runs that did not come about
     * @param plainMean their arithmetic mean; empty without one
     * @param plainRank 1 for the best mean, ties shared
     * @param adjustedRank 1 for the best effect among those that are linked, ties shared
     * @param byStrength one for each class, the strongest first
     * @param sentence what may be said of it
     */
    public record Unit(
            String name,
            Contrast effect,
            int runs,
            int failed,
            OptionalDouble plainMean,
            OptionalInt plainRank,
            OptionalInt adjustedRank,
            Map<Strength, Contrast> byStrength,
            String sentence) {}

    /** Something to know before an average is believed. */
    public record Remark(String code, String sentence, List<String> units) {}

    public Finding {
        units = List.copyOf(units);
        remarks = List.copyOf(remarks);
    }

    /** The unit of a name. */
    public Unit unit(String name) {
        return units.stream()
                .filter(u -> u.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("nothing of that name was compared: " + name));
    }
}
