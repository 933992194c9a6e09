package syntoma.core.finding;

import java.util.Comparator;
import java.util.List;
import syntoma.core.unit.Wilson;

/**
 * Where the need was met most and least often, with whatever was used.
 *
 * @param campsite its name
 * @param runs that tell whether the need was met, failed ones among them
 * @param metRuns of those
 */
public record NeedByPlace(String campsite, int runs, int metRuns) {
    /** Fewer runs say little of a place. */
    private static final int FEWEST = 5;

    private double sureOf() {
        return Wilson.of(runs, metRuns).low();
    }

    private double atMost() {
        return Wilson.of(runs, metRuns).high();
    }

    private String describe() {
        return campsite + " (" + metRuns + " of " + runs + " runs)";
    }

    /**
     * The best and the worst place, in a sentence: the one of which most is sure, so that three lucky runs do not beat thirty good ones.
     *
     * @param need its name
     */
    public static String best(List<NeedByPlace> places, String need) {
        List<NeedByPlace> known = places.stream().filter(p -> p.runs >= FEWEST).toList();
        if (known.size() < 2) {
            return "Fewer than two campsites have five runs each; more are needed to compare places.";
        }
        NeedByPlace best = known.stream()
                .max(Comparator.comparingDouble(NeedByPlace::sureOf))
                .orElseThrow();
        NeedByPlace worst = known.stream()
                .min(Comparator.comparingDouble(NeedByPlace::atMost))
                .orElseThrow();
        if (best.metRuns == 0) {
            return "No campsite met " + need + " in a single run.";
        }
        return "Best for " + need + " was " + best.describe() + ", worst was " + worst.describe()
                + ", whatever was used.";
    }
}
