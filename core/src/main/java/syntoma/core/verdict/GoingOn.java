package syntoma.core.verdict;

import java.util.OptionalDouble;
import syntoma.core.unit.Values;

/** Whether the rounds that are left of a trial are worth their minutes and their data. */
public final class GoingOn {
    /** Under such a chance one is better off with what one knows. */
    private static final double SLIM = 0.3;

    private GoingOn() {}

    /**
     * What going on takes, and what it is likely to bring.
     *
     * @param leading the comparison that matters most, of three rounds or more
     * @param minutes that the rest takes
     * @param gb that it takes of the plan
     */
    public static String sentence(Comparison leading, double minutes, double gb) {
        String rest = "The remaining rounds take about " + Math.max(1, Math.round(minutes)) + " min and "
                + Values.round(gb, gb < 1 ? 2 : 1) + " GB";
        if (leading.verdict() == Verdict.CAPPED) {
            return rest + "; the plan or the network limits both, so they cannot tell the two apart. Stop here.";
        }
        if (leading.verdict() != Verdict.CANNOT_TELL) {
            return "It is settled. " + rest + " and would only make it more precise: you can stop here.";
        }
        OptionalDouble chance = leading.outlook().map(Outlook::chance).orElse(OptionalDouble.empty());
        if (chance.isEmpty()) {
            return rest + ".";
        }
        long odds = Math.round(100 * chance.getAsDouble());
        String settle = rest + " and settle it with a chance of " + odds + " %.";
        return chance.getAsDouble() < SLIM
                ? settle + " That is a small chance: stop here, and use the one that is less work."
                : settle + " Going on is worth it if the answer is.";
    }
}
