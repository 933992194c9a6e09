package syntoma.core.verdict;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import syntoma.core.need.Met;
import syntoma.core.need.Need;
import syntoma.core.unit.Text;

/** Names the setup to use by what was measured lately, what it is compared with, and whether it meets the need. */
public final class Tonight {
    private Tonight() {}

    /**
     * Which pair to say first: the one whose candidate is to be used and met the need most often, and among equals is better by most;
     * without one the first. A candidate that another setup clearly beats on the need never leads.
     *
     * @param pairs each setup against the baseline with its comparisons, at least one
     */
    public static List<Comparison> leading(List<List<Comparison>> pairs, List<Need> needs, NeedComparison need) {
        return pairs.stream()
                .filter(pair ->
                        SetupChoice.of(pair, needs, need).isFor(pair.get(0).candidate()))
                .filter(pair -> pairs.stream()
                        .map(other -> other.get(0).candidate())
                        .noneMatch(other -> need.clearlyMore(other, pair.get(0).candidate())
                                .filter(other::equals)
                                .isPresent()))
                .max(Comparator.comparing((List<Comparison> pair) ->
                                need.of(pair.get(0).candidate()).share().share())
                        .thenComparing(pair -> onScale(pair.get(0))))
                .orElse(pairs.get(0));
    }

    private static double onScale(Comparison c) {
        double estimate = c.estimate().orElse(Double.NEGATIVE_INFINITY);
        return c.metric().comparing().isHigherBetter() ? estimate : -estimate;
    }

    /**
     * What to use.
     *
     * @param pair the comparisons of the leading pair
     * @param inUse the setup that is up, empty where that is not known
     */
    public static String sentence(List<Comparison> pair, Optional<String> inUse, OverallVerdict overall) {
        Comparison c = pair.get(0);
        NeedComparison need = overall.need();
        boolean needTells =
                need.knows(c.baseline(), c.candidate()) && !need.isMostlyMetByBoth(c.baseline(), c.candidate());
        if (needTells || overall.choice().basis() == SetupChoice.Basis.FAILURES) {
            return Headline.of(pair, overall);
        }
        Optional<String> chosen = overall.choice().setup();
        if (chosen.isPresent()) {
            Comparison deciding =
                    SetupChoice.deciding(pair, overall.needs(), need).orElse(c);
            String why = overall.choice().isFor(deciding.candidate()) && deciding.verdict() == Verdict.BETTER
                    ? new Sentences(deciding.standingDecision().orElse(deciding), OverallVerdict.NOTHING_ASKED)
                                    .effect("its")
                            + "."
                    : deciding.claim();
            return "Use " + chosen.get() + ": " + why + needMet(chosen.get(), need);
        }
        return switch (c.verdict()) {
            case TOO_FEW -> c.headline(OverallVerdict.NOTHING_ASKED) + needMet(setupToKeep(c, inUse), need);
            case CANNOT_TELL ->
                Text.capital(staying(c, inUse)) + " for now: " + new Sentences(c, OverallVerdict.NOTHING_ASKED).range()
                        + "." + needMet(setupToKeep(c, inUse), need);
            default ->
                Text.capital(staying(c, inUse)) + ": " + c.candidate() + " and " + c.baseline()
                        + " do about equally well here on "
                        + c.metric().measure().phrase() + "."
                        + needMet(setupToKeep(c, inUse), need);
        };
    }

    /** Of the only setup that was measured lately. */
    public static String ofOne(String setup, NeedComparison need) {
        return setup + " alone was measured here lately." + needMet(setup, need)
                + " Measure a second setup in turn with it to compare the two.";
    }

    /** The setup that is up where it is one of the two. */
    private static String setupToKeep(Comparison c, Optional<String> inUse) {
        return inUse.filter(up -> up.equals(c.candidate()) || up.equals(c.baseline()))
                .orElse(c.baseline());
    }

    private static String staying(Comparison c, Optional<String> inUse) {
        return inUse.filter(up -> up.equals(setupToKeep(c, inUse)))
                .map(up -> "stay with " + up)
                .orElse("use the one that is less work");
    }

    private static String needMet(String setup, NeedComparison need) {
        Met own = need.of(setup).share();
        if (own.isUnknown()) {
            return "";
        }
        String fails = need.of(setup).shortfall().map(s -> "; " + s.sentence()).orElse("");
        if (own.metRuns() == 0) {
            return " " + setup + " never met " + need.name() + " in " + Amount.count(own.runs(), "run") + fails + ".";
        }
        return " " + setup + " met " + need.name() + " in " + (own.isMostly() ? "" : "only ") + own.metRuns() + " of "
                + own.runs() + (own.runs() == 1 ? " run" : " runs") + (own.isMostly() ? "" : fails) + ".";
    }
}
