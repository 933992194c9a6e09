package syntoma.core.verdict;

import java.util.ArrayList;
import java.util.List;
import syntoma.core.reading.Figure;
import syntoma.core.unit.Text;

/** What could still be wrong with a comparison of two setups, in plain sentences, the weightiest first. */
public final class Cautions {
    private Cautions() {}

    /**
     * The cautions of one pair of setups.
     *
     * @param comparisons one per metric, at least one, the first the one that matters most
     * @param judged by which rules
     */
    public static List<String> of(List<Comparison> comparisons, Circumstances under, JudgingRules judged) {
        List<String> cautions = new ArrayList<>();
        Comparison first = comparisons.get(0);
        comparisons.forEach(c -> c.wildRuns().forEach(w -> cautions.add(wildRunCaution(c, w))));
        comparisons.forEach(c -> c.restsOn().ifPresent(r -> cautions.add(rests(c, r))));
        if (under.carriers().size() > 1) {
            cautions.add("Several carriers were in use (" + String.join(", ", under.carriers())
                    + "); rounds are paired within each.");
        }
        if (under.servers().size() > 1) {
            cautions.add("The runs went to " + under.servers().size()
                    + " test servers; a different server can look like a difference between setups.");
        }
        if (under.isEvening() != under.isEarlier()) {
            cautions.add(
                    under.isEvening()
                            ? "All runs were after " + Circumstances.EVENING + ":00; mornings can differ."
                            : "All runs were before " + Circumstances.EVENING
                                    + ":00; one evening round would show whether it is true then too.");
        }
        comparisons.forEach(c -> c.bandsApart()
                .filter(a -> c.estimate().isPresent())
                .ifPresent(apart -> cautions.add(
                        Text.capital(Amount.count(apart.rounds(), "round")) + " had the two setups on different bands ("
                                + apart.words() + "), and " + (apart.rounds() == 1 ? "is" : "are") + " left out for "
                                + c.metric().measure().phrase() + ".")));
        int lacking =
                first.leftOut() - first.bandsApart().map(BandsApart::rounds).orElse(0);
        if (lacking > 0 && first.estimate().isPresent()) {
            cautions.add(lacking + (lacking == 1 ? " round lacks" : " rounds lack") + " "
                    + first.metric().measure().phrase() + " from one of the two and could not be paired.");
        }
        if (!judged.isPlanned()) {
            cautions.add("Not planned as a trial in Syntoma, so this counts as a single look.");
        }
        if (judged.runsLeftOut() > 0) {
            cautions.add("Judged by the planned trial made here; " + judged.runsLeftOut()
                    + (judged.runsLeftOut() == 1 ? " other measurement is" : " other measurements are") + " aside.");
        }
        return cautions;
    }

    private static String wildRunCaution(Comparison c, WildRun w) {
        Figure metric = c.metric();
        return "Round " + w.round().key().round() + " is an outlier on "
                + metric.measure().phrase() + " (" + metric.scale().format(w.ratio()) + ", from " + w.setup()
                + "). Without it: " + metric.scale().format(w.estimate()) + ".";
    }

    private static String rests(Comparison c, RestsOn rests) {
        return Text.capital(c.metric().measure().phrase()) + " depends on round "
                + rests.round().round() + ": without it the verdict would be “"
                + rests.verdictWithout().words() + "”.";
    }
}
