package syntoma.core.advice;

import java.util.List;
import java.util.OptionalDouble;
import syntoma.core.unit.Median;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * How often advice was right.
 *
 * @param cases pieces of advice with an outcome
 * @param predictedShare the mean chance that was stated; empty with none
 * @param observedShare the mean share of runs that met the need; empty with none
 * @param offBy the typical factor between the speed expected and the one that came; empty where none was measured
 */
public record TrackRecord(
        int cases, OptionalDouble predictedShare, OptionalDouble observedShare, OptionalDouble offBy) {
    /** With fewer nothing can be said of how often it is right. */
    private static final int FEWEST = 5;

    /**
     * What came of one piece of advice.
     *
     * @param chance that was stated
     * @param expectedLevel the speed that was expected, in Mb/s
     * @param measuredLevel the median speed that came
     */
    public record Outcome(
            double chance, int runs, int metRuns, OptionalDouble expectedLevel, OptionalDouble measuredLevel) {}

    /** Of all outcomes; each piece of advice counts once, whatever was measured of it. */
    public static TrackRecord of(List<Outcome> outcomes) {
        return new TrackRecord(
                outcomes.size(),
                outcomes.stream().mapToDouble(Outcome::chance).average(),
                outcomes.stream().mapToDouble(o -> (double) o.metRuns / o.runs).average(),
                typical(outcomes.stream()
                        .filter(o -> o.expectedLevel.isPresent() && o.measuredLevel.isPresent())
                        .mapToDouble(
                                o -> Math.abs(Math.log(o.measuredLevel.getAsDouble() / o.expectedLevel.getAsDouble())))
                        .toArray()));
    }

    /** The middle one, as a factor. */
    private static OptionalDouble typical(double[] logs) {
        return Median.ofAny(logs).stream().map(Math::exp).findFirst();
    }

    /** The same in words. */
    public String says() {
        if (cases == 0) {
            return "You have not followed any advice yet. When you do, this shows how often it was right.";
        }
        String count = Text.count(cases, "time") + " it was followed: it said " + percent(predictedShare.orElseThrow())
                + " on average, and " + percent(observedShare.orElseThrow()) + " came true";
        String off =
                offBy.isPresent() ? "; speeds were off by ×" + Values.round(offBy.getAsDouble(), 1) + " typically" : "";
        return count + off + (cases < FEWEST ? ". Too few to judge it by." : ".");
    }

    private static String percent(double share) {
        return Values.round(100 * share, 0) + " %";
    }
}
