package syntoma.app.trial;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.app.setup.SetupName;
import syntoma.core.need.Need;
import syntoma.core.need.Threshold;
import syntoma.core.reading.Figure;
import syntoma.core.run.CappedSetups;
import syntoma.core.trial.Sample;
import syntoma.core.verdict.Comparer;
import syntoma.core.verdict.Comparison;
import syntoma.core.verdict.NeedComparison;
import syntoma.core.verdict.OverallVerdict;
import syntoma.core.verdict.Plan;
import syntoma.core.verdict.Tonight;

/**
 * Some setups compared over some measurements.
 *
 * @param baseline what all are compared with
 * @param cast who is compared, over which measurements
 * @param need how often each setup met the whole need
 * @param contrasts each pair with its comparisons, the metric that matters most first
 */
record SetupComparison(
        String baseline,
        Cast cast,
        List<Need> needs,
        NeedComparison need,
        Map<Comparer.Contrast, List<Comparison>> contrasts) {

    /**
     * Compares on the metrics that were measured, those first that the needs ask for.
     *
     * @param most so many of them at most, or all that the needs ask for
     */
    static SetupComparison of(
            String baseline,
            Cast cast,
            List<Need> needs,
            int most,
            Function<Figure, Optional<Plan>> plan,
            Function<Figure, CappedSetups> held) {
        List<LoggedMeasurement> made = cast.measurements();
        List<String> names = cast.setups().stream().map(SetupName::name).toList();
        Map<Comparer.Contrast, List<Comparison>> contrasts = new LinkedHashMap<>();
        List<Figure> metrics = Figure.comparedFigures(f -> made.stream().anyMatch(m -> m.value(f) != null));
        List<Figure> ordered = Threshold.askedFirst(metrics, needs);
        // all that the need asks decides what to use, so that a list and a page say the same
        long asked =
                ordered.stream().filter(f -> Threshold.of(needs, f).isPresent()).count();
        List<Figure> wanted = names.size() < 2
                ? List.of()
                : ordered.stream().limit(Math.max(most, asked)).toList();
        Optional<String> best = Optional.empty();
        for (Figure metric : wanted) {
            Comparer comparer = new Comparer(metric, cast.samples(metric), plan.apply(metric), held.apply(metric));
            String lead = best.orElseGet(() -> comparer.best(baseline, names));
            best = Optional.of(lead);
            comparer.family(baseline, lead, names).forEach(c -> contrasts
                    .computeIfAbsent(new Comparer.Contrast(c.baseline(), c.candidate()), k -> new ArrayList<>())
                    .add(c));
        }
        return new SetupComparison(baseline, cast, needs, cast.compareNeeds(needs), contrasts);
    }

    /** The same, which is about one pair of several. */
    SetupComparison ofPair(SetupName one, SetupName other) {
        Comparer.Contrast pair = new Comparer.Contrast(one.name(), other.name());
        Cast two = new Cast(measurements(), List.of(one, other), cast.plan(), cast.isAcrossCarriers());
        return new SetupComparison(one.name(), two, needs, need, Map.of(pair, contrasts.get(pair)));
    }

    List<SetupName> setups() {
        return cast.setups();
    }

    List<LoggedMeasurement> measurements() {
        return cast.measurements();
    }

    /** What was measured of a figure, as comparisons take it. */
    List<Sample> samples(Figure metric) {
        return cast.samples(metric);
    }

    /** Each setup against the baseline on the metric that matters most. */
    List<Comparison> firsts() {
        return againstBaseline().stream().map(all -> all.get(0)).toList();
    }

    private List<List<Comparison>> againstBaseline() {
        return contrasts.values().stream()
                .filter(all -> all.get(0).baseline().equals(baseline))
                .toList();
    }

    /** The pair that is to be said first; only where two setups were measured. */
    List<Comparison> leading() {
        return Tonight.leading(againstBaseline(), needs, need);
    }

    /** What a pair comes to as a whole. */
    OverallVerdict overall(List<Comparison> pair) {
        return OverallVerdict.of(pair, needs, need);
    }

    /** All pairs, each with its comparisons; the one that is to be said first leads. */
    List<List<Comparison>> leadingFirst() {
        if (contrasts.isEmpty()) {
            return List.of();
        }
        List<Comparison> leading = leading();
        return contrasts.values().stream()
                .sorted(Comparator.comparing((List<Comparison> all) -> all != leading))
                .toList();
    }

    SetupName setup(String name) {
        return setups().stream().filter(s -> s.name().equals(name)).findFirst().orElseThrow();
    }

    List<ResultView.NeedMet> needMet() {
        return setups().stream()
                .map(s -> new ResultView.NeedMet(
                        s,
                        need.of(s.name()).share().runs(),
                        need.of(s.name()).share().metRuns()))
                .toList();
    }

    /** The chosen needs by name; null without any. */
    @Nullable
    String needName() {
        return needs.isEmpty() ? null : needs.stream().map(Need::name).collect(Collectors.joining(" and "));
    }
}
