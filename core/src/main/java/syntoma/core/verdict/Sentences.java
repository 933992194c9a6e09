package syntoma.core.verdict;

import java.util.List;
import java.util.Optional;
import syntoma.core.need.Threshold;
import syntoma.core.reading.Scale;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * Says a comparison as a person would, all metrics in one pattern: what, how sure, whether it is enough, and what to do.
 * Every sentence there is stands in {@code docs/sentences.md}.
 */
final class Sentences {
    /** Keeps 95 % from becoming 94 % by the way a level is stored. */
    private static final double TINY = 1e-9;

    private static final String LESS_WORK = "use the one that is less work";

    /** Under this chance the rounds left of a plan are not worth hoping for. */
    private static final double SLIM = 0.2;

    private final Comparison c;
    private final String metric;
    private final OverallVerdict overall;
    private final Amount amount;

    Sentences(Comparison comparison, OverallVerdict overall) {
        this.c = comparison;
        this.metric = comparison.metric().measure().phrase();
        this.overall = overall;
        this.amount = new Amount(comparison.metric(), comparison.baseline());
    }

    String fullSentence() {
        Optional<Comparison> planned = c.standingDecision();
        return planned.isPresent()
                ? new Sentences(planned.get(), overall).fullSentence() + " " + afterPlan(planned.get())
                : claim() + evidence() + tail() + changeAfterPlan();
    }

    String headline() {
        Optional<Comparison> planned = c.standingDecision();
        return planned.isPresent()
                ? new Sentences(planned.get(), overall).headline() + " " + afterPlan(planned.get())
                : claim() + tail() + changeAfterPlan();
    }

    /** What the rounds past the plan show, which does not change the plan's decision. */
    private String afterPlan(Comparison planned) {
        List<PairedRound> later = c.rounds().stream()
                .filter(round ->
                        planned.rounds().stream().noneMatch(r -> r.key().equals(round.key())))
                .toList();
        if (later.isEmpty()) {
            return "In the rounds since then only one of the two has it.";
        }
        Scale scale = c.metric().scale();
        double mean =
                later.stream().mapToDouble(PairedRound::difference).average().orElseThrow();
        return Text.capital(Amount.count(later.size(), "round")) + " since then: " + scale.format(scale.off(mean))
                + (later.size() > 1 ? " on average" : "")
                + "; that does not change it (past the plan, judged more strictly).";
    }

    /** That rounds past the plan changed what it had decided. */
    private String changeAfterPlan() {
        return c.isChangedSincePlan()
                ? " After the "
                        + Amount.number(c.plannedLook().orElseThrow().rounds().size())
                        + " planned rounds it was “"
                        + c.plannedLook().orElseThrow().verdict().words() + "”; the rounds since then changed that."
                : "";
    }

    private String tail() {
        String enough = sufficiency();
        return "." + (enough.isEmpty() ? "" : " " + enough) + " " + doing();
    }

    /** What is so, without a full stop. */
    String claim() {
        if (c.standingDecision().isPresent()) {
            return new Sentences(c.standingDecision().get(), overall).claim();
        }
        String effect = c.estimate().isPresent() ? effect(Amount.possessive(c.candidate())) : "";
        return switch (c.verdict()) {
            case TOO_FEW -> tooFew();
            case CAPPED ->
                Text.capital(metric) + " is held at about "
                        + Values.round(c.cappedMbps().orElseThrow(), 0)
                        + " Mb/s by the plan or the network, not by your antenna, so these runs cannot tell "
                        + c.candidate() + " from " + c.baseline();
            case NO_DIFFERENCE ->
                Text.capital(metric) + ": no difference that matters between " + c.candidate() + " and " + c.baseline();
            case CANNOT_TELL -> "Can’t tell yet: " + range();
            case LESS_RELIABLE ->
                effect + " when it works, but it failed in "
                        + c.failures().candidateFailedRounds() + " of "
                        + c.failures().bothTried() + " rounds";
            case BETTER, WORSE, SLIGHTLY_BETTER, SLIGHTLY_WORSE -> effect;
        };
    }

    /** What is so with the candidate named in another way: “its upload is …”. */
    String effect(String whose) {
        return whose + " " + metric + " is " + amount.of(c.estimate().orElseThrow());
    }

    /** Where the interval lies. */
    String range() {
        return Amount.possessive(c.candidate()) + " " + metric + " is "
                + amount.between(c.low().orElseThrow(), c.high().orElseThrow());
    }

    private String tooFew() {
        Optional<String> never = neverMeasured(
                        c.candidate(),
                        c.plainAverages().candidateMean().isEmpty(),
                        c.failures().candidate())
                .or(() -> neverMeasured(
                        c.baseline(),
                        c.plainAverages().baselineMean().isEmpty(),
                        c.failures().baseline()));
        if (never.isEmpty() && c.bandsApart().isPresent()) {
            BandsApart apart = c.bandsApart().get();
            return metric + " was measured on different bands, " + apart.words() + " (" + c.baseline() + " and "
                    + c.candidate() + "): not comparable in " + Amount.count(apart.rounds(), "round");
        }
        return never.orElseGet(() -> {
            int shared = c.rounds().size();
            return "Too few rounds on " + metric + ": " + Amount.count(shared, "round")
                    + (shared == 1 ? " has" : " have") + " it from both setups, and a verdict takes three";
        });
    }

    /** What is said of a setup that never had the metric. */
    private Optional<String> neverMeasured(String setup, boolean without, Share tries) {
        if (!without) {
            return Optional.empty();
        }
        return Optional.of(
                tries.attempts() > 0 && tries.failures() == tries.attempts()
                        ? setup + " gave no " + metric + " here: " + allFailed(tries.attempts())
                        : "No " + metric + " was measured with " + setup);
    }

    private static String allFailed(int runs) {
        return switch (runs) {
            case 1 -> "its one run failed";
            case 2 -> "both its runs failed";
            default -> "all " + Amount.number(runs) + " of its runs failed";
        };
    }

    /** How sure, in brackets after a space; nothing where nothing was calculated. */
    private String evidence() {
        if (c.low().isEmpty()) {
            return "";
        }
        String interval = "from "
                + c.metric().scale().format(c.low().orElseThrow(), c.high().orElseThrow()) + " over "
                + Amount.count(c.rounds().size(), "round") + ", " + sureness(c.level()) + " sure";
        return " (" + sure() + interval + (c.isPastPlan() ? "; past the plan, judged more strictly" : "") + ")";
    }

    private String sure() {
        return switch (c.verdict()) {
            case BETTER, WORSE, LESS_RELIABLE ->
                isWhollyBeyondMargin() ? "clearly: " : "certainly, but the size is open: ";
            case SLIGHTLY_BETTER, SLIGHTLY_WORSE -> "certainly, but only a little: ";
            default -> "";
        };
    }

    private boolean isWhollyBeyondMargin() {
        Scale scale = c.metric().scale();
        double margin = scale.margin();
        double low = onScale(c.low().orElseThrow());
        double high = onScale(c.high().orElseThrow());
        return low > margin || high < -margin;
    }

    private double onScale(double difference) {
        return c.metric().scale() instanceof Scale.Difference ? difference : Math.log(difference);
    }

    /** How sure an interval of a level is, never more than it is: 95 %, 97 %, 99.9 %. */
    static String sureness(double level) {
        double percent = 100 * level + TINY;
        return (percent < 99 ? Values.format(Math.floor(percent)) : Values.format(Math.floor(10 * percent) / 10))
                + " %";
    }

    /** Whether both are enough for what was asked, and what is not although they are; empty where nothing was asked. */
    private String sufficiency() {
        Optional<Threshold> asked = overall.threshold(c);
        if (asked.isEmpty() || c.rounds().isEmpty() || c.verdict() == Verdict.CAPPED) {
            return "";
        }
        String said = sufficiency(asked.get());
        NeedComparison need = overall.need();
        boolean claims = asked.get().isMetBy(c.candidateMiddle()) || asked.get().isMetBy(c.baselineMiddle());
        if (!claims
                || !need.knows(c.baseline(), c.candidate())
                || need.isMostlyMetByBoth(c.baseline(), c.candidate())) {
            return said + ".";
        }
        return said + ", but the whole need was met in " + need.share(c.candidate()) + " and "
                + need.share(c.baseline()) + " runs.";
    }

    private String sufficiency(Threshold need) {
        double candidate = c.candidateMiddle();
        double baseline = c.baselineMiddle();
        String unit = " " + c.metric().measure().unit();
        String first = value(candidate, need) + unit;
        String second = value(baseline, need);
        if (need.isMetBy(candidate) && need.isMetBy(baseline)) {
            return first + " is enough for " + need.need() + "; " + Amount.possessive(c.baseline()) + " " + second
                    + " is too";
        }
        String purpose = need.need() + " (" + need.text() + ")";
        if (need.isMetBy(candidate)) {
            return first + " is enough for " + purpose + "; " + Amount.possessive(c.baseline()) + " " + second
                    + " is not";
        }
        if (need.isMetBy(baseline)) {
            return first + " is not enough for " + purpose + "; " + Amount.possessive(c.baseline()) + " " + second
                    + " is";
        }
        return "Neither is enough for " + purpose + ": " + first + " and " + second + unit;
    }

    /** A value with as many digits as it takes to see on which side of the limit it lies. */
    private static String value(double value, Threshold need) {
        int decimals = value < 99.5 ? 1 : 0;
        double factor = Math.pow(10, decimals);
        boolean hidden = need.isMetBy(Math.round(value * factor) / factor) != need.isMetBy(value);
        return Values.round(value, hidden ? decimals + 1 : decimals);
    }

    /** What to do about it. */
    private String doing() {
        return switch (c.verdict()) {
            case BETTER, WORSE -> use(isCandidateBetter() ? c.candidate() : c.baseline());
            case LESS_RELIABLE -> recommend(c.baseline(), "Use " + c.baseline() + " where it has to work.");
            case SLIGHTLY_BETTER, SLIGHTLY_WORSE -> "That little does not matter: " + meanwhile() + ".";
            case NO_DIFFERENCE, CAPPED -> Text.capital(meanwhile()) + ".";
            case CANNOT_TELL -> cannotTellDoing();
            case TOO_FEW -> tooFewDoing();
        };
    }

    private boolean isCandidateBetter() {
        return c.verdict() == Verdict.BETTER;
    }

    /** Whether the comparison as a whole is for the other one. */
    private boolean contradicts(String setup) {
        return overall.choice().setup().isPresent() && !overall.choice().isFor(setup);
    }

    private String allTheSame() {
        return "Still, use " + overall.reason(c) + ".";
    }

    /** What to do where this figure does not tell: what the whole tells, else the one that is less work. */
    private String meanwhile() {
        return overall.choice().setup().isPresent() ? "use " + overall.reason(c) : LESS_WORK;
    }

    private String use(String setup) {
        return switch (c.metric()) {
            case UP_MBPS -> recommend(setup, "Use " + setup + " for uploads.");
            case DOWN_MBPS -> recommend(setup, "Use " + setup + " for downloads.");
            case RSRP_DBM, RSRQ_DB, SINR_DB -> "Let the speeds decide: a better signal alone is not faster.";
            default -> recommend(setup, "Use " + setup + " for calls.");
        };
    }

    /** What this figure recommends, unless the comparison as a whole, or the need, is for the other one. */
    private String recommend(String setup, String said) {
        if (contradicts(setup)) {
            return allTheSame();
        }
        if (overall.choice().setup().isEmpty() && overall.need().isLess(setup, c.baseline(), c.candidate())) {
            return "That alone does not decide: " + c.otherThan(setup) + " met "
                    + overall.need().name() + " more often.";
        }
        return said;
    }

    private String cannotTellDoing() {
        Outlook outlook = c.outlook().orElseThrow();
        String meanwhile = "; meanwhile " + meanwhile() + ".";
        if (outlook.roundsLeft() > 0 && outlook.chance().orElseThrow() >= SLIM) {
            return Text.capital("the "
                    + (outlook.roundsLeft() == 1 ? "round" : Amount.count(outlook.roundsLeft(), "round"))
                    + " left of the plan may settle it (about "
                    + Math.max(2, Math.min(9, Math.round(10 * outlook.chance().orElseThrow())))
                    + " times in 10)" + meanwhile);
        }
        if (outlook.newTrial().isPresent()) {
            return "A new trial of " + Amount.count(outlook.newTrial().getAsInt(), "round") + " would likely settle it"
                    + meanwhile;
        }
        if (outlook.evenTrial().isPresent()) {
            return "A new trial of " + Amount.count(outlook.evenTrial().getAsInt(), "round")
                    + " has about an even chance of settling it" + meanwhile;
        }
        return "Telling them apart is not worth the work: " + meanwhile() + ".";
    }

    private String tooFewDoing() {
        boolean candidateNever = c.plainAverages().candidateMean().isEmpty();
        boolean baselineNever = c.plainAverages().baselineMean().isEmpty();
        if (candidateNever && hasFailedAlways(c.failures().candidate())) {
            return baselineNever ? "Try a third setup." : recommend(c.baseline(), "Use " + c.baseline() + ".");
        }
        if (baselineNever && hasFailedAlways(c.failures().baseline())) {
            return candidateNever ? "Try a third setup." : recommend(c.candidate(), "Use " + c.candidate() + ".");
        }
        int missing = InterimLooks.FEWEST - c.rounds().size();
        return "Measure " + Amount.count(missing, missing == InterimLooks.FEWEST ? "round" : "more round")
                + " with both in turn.";
    }

    private static boolean hasFailedAlways(Share tries) {
        return tries.attempts() > 0 && tries.failures() == tries.attempts();
    }
}
