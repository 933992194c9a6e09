package syntoma.core.verdict;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import syntoma.core.need.Met;
import syntoma.core.need.Need;
import syntoma.core.unit.Text;

/** Names the setup to use by what was measured lately, what it is held against, and whether it meets the need. */
public final class Tonight {
    private Tonight() {}

    /**
     * Which contrast to say first of several setups: the one whose candidate is better by most, else the first.
     *
     * @param firsts each setup against the baseline on the metric that matters most, at least one
     */
    public static Comparison leading(List<Comparison> firsts) {
        return firsts.stream()
                .filter(c -> c.verdict() == Verdict.BETTER)
                .max(Comparator.comparing(c -> onScale(c)))
                .orElse(firsts.get(0));
    }

    private static double onScale(Comparison c) {
        double estimate = c.estimate().orElseThrow();
        return c.metric().comparing().higherIsBetter() ? estimate : -estimate;
    }

    /**
     * What to use.
     *
     * @param firsts each setup against the baseline on the metric that matters most, at least one
     * @param inUse the setup that is up, empty where that is not known
     * @param met by setup, in how many runs the needs were met
     */
    public static String said(List<Comparison> firsts, Optional<String> inUse, List<Need> needs, Map<String, Met> met) {
        Comparison c = leading(firsts);
        Optional<String> reliable = c.failures().reliable(c.baseline(), c.candidate());
        if (reliable.isPresent()) {
            return c.failures().said(c.baseline(), c.candidate()).orElseThrow() + needMet(reliable.get(), needs, met);
        }
        return switch (c.verdict()) {
            case BETTER ->
                "Use " + c.candidate() + ": " + new Sentences(c, Optional.empty()).effect("its") + "."
                        + needMet(c.candidate(), needs, met);
            case WORSE, LESS_RELIABLE -> "Use " + c.baseline() + ": " + c.claim() + needMet(c.baseline(), needs, met);
            case SLIGHTLY_BETTER, SLIGHTLY_WORSE, NO_DIFFERENCE, CAPPED -> {
                String stay = staying(c, inUse);
                yield Text.capital(stay) + ": " + c.candidate() + " and " + c.baseline()
                        + " do about equally well here on "
                        + c.metric().measure().phrase() + "."
                        + needMet(kept(c, inUse), needs, met);
            }
            case CANNOT_TELL ->
                Text.capital(staying(c, inUse)) + " for now: " + new Sentences(c, Optional.empty()).range() + "."
                        + needMet(kept(c, inUse), needs, met);
            case TOO_FEW -> c.headline(Optional.empty()) + needMet(kept(c, inUse), needs, met);
        };
    }

    /** Of the only setup that was measured lately. */
    public static String ofOne(String setup, List<Need> needs, Met met) {
        return setup + " alone was measured here lately." + needMet(setup, needs, Map.of(setup, met))
                + " Measure a second setup in turn with it to compare the two.";
    }

    /** The setup that is up where it is one of the two. */
    private static String kept(Comparison c, Optional<String> inUse) {
        return inUse.filter(up -> up.equals(c.candidate()) || up.equals(c.baseline()))
                .orElse(c.baseline());
    }

    private static String staying(Comparison c, Optional<String> inUse) {
        return inUse.filter(up -> up.equals(kept(c, inUse)))
                .map(up -> "stay with " + up)
                .orElse("use the one that is less work");
    }

    private static String needMet(String setup, List<Need> needs, Map<String, Met> met) {
        Met own = met.getOrDefault(setup, new Met(0, 0));
        if (needs.isEmpty() || own.isUnknown()) {
            return "";
        }
        String need = needs.stream().map(Need::name).collect(Collectors.joining(" and "));
        if (own.met() == 0) {
            return " " + setup + " never met " + need + " in " + Amount.count(own.runs(), "run") + ".";
        }
        return " " + setup + " meets " + need + " in " + (own.isMostly() ? "" : "only ") + own.met() + " of "
                + own.runs() + (own.runs() == 1 ? " run." : " runs.");
    }
}
