package syntoma.app.findings;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import syntoma.core.finding.Contrast;
import syntoma.core.finding.Finding;
import syntoma.core.unit.Text;
import syntoma.core.verdict.Amount;
import syntoma.core.verdict.Verdict;

/** The one sentence to take from a finding. */
final class Headlines {
    private Headlines() {}

    static String of(Finding finding, ComparedKind of) {
        List<Finding.Unit> others = finding.units().stream()
                .filter(u -> !u.name().equals(finding.baseline()))
                .toList();
        if (finding.units().isEmpty()) {
            return "Nothing was measured of this yet.";
        }
        if (others.isEmpty()) {
            return finding.baseline() + " alone was measured here; there is nothing to compare it with.";
        }
        boolean higher = finding.criterion().isHigherBetter();
        Comparator<Finding.Unit> best = Comparator.comparingDouble(
                u -> (higher ? -1 : 1) * u.effect().estimate().orElse(0));
        List<Finding.Unit> ahead = of(others, Verdict.BETTER, Verdict.SLIGHTLY_BETTER).stream()
                .sorted(best)
                .toList();
        List<Finding.Unit> equal = of(others, Verdict.NO_DIFFERENCE);
        List<Finding.Unit> behind = of(others, Verdict.WORSE, Verdict.SLIGHTLY_WORSE, Verdict.LESS_RELIABLE);
        String open = open(finding, others, of);
        if (!ahead.isEmpty()) {
            return ahead.get(0).sentence()
                    + (ahead.size() > 1 ? " " + ahead.get(1).sentence() : "");
        }
        if (!behind.isEmpty() && equal.isEmpty()) {
            return "Nothing beats " + finding.baseline() + " on "
                    + finding.criterion().words() + ". " + open;
        }
        if (!equal.isEmpty()) {
            return Text.capital(finding.criterion().words()) + ": no difference that matters between "
                    + Text.list(List.of(
                            finding.baseline(),
                            Text.list(equal.stream().map(Finding.Unit::name).toList())))
                    + ". Use the one that is less work." + (open.isEmpty() ? "" : " " + open);
        }
        return open.startsWith("Can’t tell") ? open : "Can’t tell yet. " + open;
    }

    private static List<Finding.Unit> of(List<Finding.Unit> units, Verdict... verdicts) {
        return units.stream()
                .filter(u -> List.of(verdicts).contains(u.effect().verdict()))
                .toList();
    }

    /** What a little more would settle, of the unit that wants least. */
    private static String open(Finding finding, List<Finding.Unit> others, ComparedKind of) {
        if (others.stream().allMatch(u -> u.effect().estimate().isEmpty())) {
            return "No two " + of.key().toLowerCase(Locale.ROOT)
                    + " were measured at the same place within an hour; one such stay begins it.";
        }
        List<Finding.Unit> open = others.stream()
                .filter(u -> !u.effect().isTold() && u.effect().estimate().isPresent())
                .sorted(Comparator.comparingInt(u -> u.effect().staysWanted().orElse(Integer.MAX_VALUE)))
                .toList();
        if (open.size() < 2) {
            return open.isEmpty() ? "" : open.get(0).sentence();
        }
        Finding.Unit first = open.get(0);
        String untold = "Can’t tell "
                + String.join(" or ", open.stream().map(Finding.Unit::name).toList())
                + " from " + finding.baseline() + " on " + finding.criterion().words() + " yet";
        if (first.effect().staysWanted().isEmpty()) {
            return untold + "; that would take more than twenty further stays. Use the one that is less work.";
        }
        return untold + "; " + Amount.count(first.effect().staysWanted().getAsInt(), "more stay") + " with "
                + first.name() + " and " + finding.baseline()
                + (first.effect().verdict() == Verdict.TOO_FEW
                        ? " would allow a comparison."
                        : " would likely settle " + first.name() + ".");
    }

    /** Whether a contrast says that a unit is ahead. */
    static boolean isAhead(Contrast c) {
        return c.verdict() == Verdict.BETTER || c.verdict() == Verdict.SLIGHTLY_BETTER;
    }
}
