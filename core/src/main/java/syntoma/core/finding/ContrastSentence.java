package syntoma.core.finding;

import syntoma.core.unit.Text;
import syntoma.core.verdict.Amount;

/** Says a contrast as a person would. */
final class ContrastSentence {
    private ContrastSentence() {}

    /** Of a unit that never ran. */
    static String neverRan(String unit, int failed) {
        return unit + " never got through: 0 of " + Text.count(failed, "run") + ".";
    }

    static String of(Criterion criterion, String baseline, String unit, Contrast c) {
        if (c.estimate().isEmpty()) {
            return unit + " was never measured at the same time and place as " + baseline
                    + ", or as another that was; nothing can be said of it.";
        }
        return switch (c.verdict()) {
            case TOO_FEW -> tooFew(baseline, unit, c);
            case CANNOT_TELL ->
                "Can’t tell yet whether " + Amount.possessive(unit) + " " + criterion.words() + " differs: "
                        + interval(criterion, c) + staysNeeded(baseline, unit, c);
            case NO_DIFFERENCE ->
                Text.capital(criterion.words()) + ": no difference that matters between " + unit + " and " + baseline
                        + " (" + interval(criterion, c) + ").";
            case CAPPED ->
                Text.capital(criterion.words()) + " of " + unit + " and " + baseline
                        + " is limited by the plan or the network, so it cannot rank them.";
            case LESS_RELIABLE ->
                unit + " is faster when it works, but it failed where " + baseline
                        + " ran, more often than chance explains.";
            default ->
                Amount.possessive(unit) + " " + criterion.words() + " is " + amount(criterion, baseline, c) + " ("
                        + interval(criterion, c) + ").";
        };
    }

    /** An estimate with its interval: ×1.83, ×1.57 to ×2.14 at 9 stays. */
    static String interval(Criterion criterion, Contrast c) {
        return criterion.scale().format(c.low().orElseThrow(), c.high().orElseThrow()) + ", "
                + Text.count(c.stays(), "stay");
    }

    private static String amount(Criterion criterion, String baseline, Contrast c) {
        double estimate = c.estimate().orElseThrow();
        return criterion
                .metric()
                .map(metric -> new Amount(metric, baseline).of(estimate))
                .orElseGet(() -> Math.round(Math.abs(estimate)) + " points " + (estimate > 0 ? "higher" : "lower")
                        + " than " + Amount.possessive(baseline));
    }

    private static String tooFew(String baseline, String unit, Contrast c) {
        int wanted = c.staysWanted().orElse(1);
        return unit + " was measured beside another at " + Text.count(c.stays(), "stay") + "; "
                + Amount.count(wanted, "more stay") + " with it and " + baseline + " would allow a comparison.";
    }

    private static String staysNeeded(String baseline, String unit, Contrast c) {
        if (c.staysWanted().isEmpty()) {
            return ". Telling them apart would take more than twenty further stays, which is not worth the work. Use the one"
                    + " that is less work.";
        }
        return ". " + Text.capital(Amount.count(c.staysWanted().getAsInt(), "more stay")) + " with " + unit + " and "
                + baseline + " would likely settle it.";
    }
}
