package syntoma.app.trial;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import syntoma.app.logbook.LoggedMeasurement;
import syntoma.core.verdict.Comparison;
import syntoma.core.verdict.Share;
import syntoma.core.verdict.WildRun;

/** What could still be wrong with a comparison, in plain sentences. */
final class Cautions {
    private static final int EVENING = 18;

    private Cautions() {}

    static List<String> of(List<LoggedMeasurement> measurements, List<Comparison> comparisons, boolean planned) {
        List<String> cautions = new ArrayList<>();
        Comparison first = comparisons.get(0);
        failures(first, cautions);
        comparisons.forEach(c -> c.wild().forEach(w -> cautions.add(wild(c, w))));
        Set<String> carriers = values(measurements, LoggedMeasurement::carrier);
        if (carriers.size() > 1) {
            cautions.add("Several carriers were in use (" + String.join(", ", carriers)
                    + "); rounds are paired within each.");
        }
        Set<String> servers = values(measurements, LoggedMeasurement::server);
        if (servers.size() > 1) {
            cautions.add("The runs went to " + servers.size()
                    + " test servers; a change of server can pass for a change of setup.");
        }
        boolean evening = measurements.stream().anyMatch(m -> m.takenAt().getHour() >= EVENING);
        boolean earlier = measurements.stream().anyMatch(m -> m.takenAt().getHour() < EVENING);
        if (evening != earlier) {
            cautions.add(
                    evening
                            ? "All runs were after 18:00; mornings can differ."
                            : "All runs were before 18:00; one evening round would tell whether it holds then.");
        }
        if (first.leftOut() > 0) {
            cautions.add(first.leftOut() + (first.leftOut() == 1 ? " round lacks" : " rounds lack") + " "
                    + first.metric().measure().phrase() + " from one of the two and could not be paired.");
        }
        if (!planned) {
            cautions.add("Not planned as a trial in Syntoma, so this is taken as a single look at 95 %.");
        }
        return cautions;
    }

    private static void failures(Comparison c, List<String> cautions) {
        Share a = c.failures().baseline();
        Share b = c.failures().candidate();
        if (a.failed() + b.failed() > 0) {
            cautions.add("Failed runs: " + c.baseline() + " " + a.failed() + " of " + a.tried() + ", " + c.candidate()
                    + " " + b.failed() + " of " + b.tried() + ".");
        }
    }

    private static String wild(Comparison c, WildRun w) {
        String effect = c.metric().scale().said(w.ratio());
        String without = c.metric().scale().said(w.estimate());
        return "Round " + w.round().key().round() + " is wild on "
                + c.metric().measure().phrase() + " (" + effect + ", from " + w.setup() + "). Without it: " + without
                + ".";
    }

    private static Set<String> values(List<LoggedMeasurement> measurements, Function<LoggedMeasurement, String> part) {
        return measurements.stream().map(part).filter(v -> v != null).collect(Collectors.toCollection(TreeSet::new));
    }
}
