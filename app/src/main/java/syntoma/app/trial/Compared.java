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
import syntoma.core.need.Met;
import syntoma.core.need.Need;
import syntoma.core.need.Threshold;
import syntoma.core.reading.Figure;
import syntoma.core.run.Held;
import syntoma.core.trial.Sample;
import syntoma.core.verdict.Comparer;
import syntoma.core.verdict.Comparison;
import syntoma.core.verdict.Plan;
import syntoma.core.verdict.Tonight;

/**
 * Some setups compared over some measurements.
 *
 * @param baseline what all are held against
 * @param cast who is compared, over which measurements
 * @param contrasts each pair with its comparisons, the metric that matters most first
 */
record Compared(String baseline, Cast cast, List<Need> needs, Map<Comparer.Contrast, List<Comparison>> contrasts) {

    /**
     * Compares on the metrics that were measured, those first that the needs ask for.
     *
     * @param most so many of them at most
     */
    static Compared of(
            String baseline,
            Cast cast,
            List<Need> needs,
            int most,
            Function<Figure, Optional<Plan>> plan,
            Function<Figure, Held> held) {
        List<LoggedMeasurement> made = cast.made();
        List<String> names = cast.setups().stream().map(SetupName::name).toList();
        Map<Comparer.Contrast, List<Comparison>> contrasts = new LinkedHashMap<>();
        List<Figure> metrics = Figure.compared(f -> made.stream().anyMatch(m -> m.value(f) != null));
        List<Figure> wanted = names.size() < 2
                ? List.of()
                : Threshold.askedFirst(metrics, needs).stream().limit(most).toList();
        Optional<String> best = Optional.empty();
        for (Figure metric : wanted) {
            Comparer comparer = new Comparer(metric, cast.samples(metric), plan.apply(metric), held.apply(metric));
            String lead = best.orElseGet(() -> comparer.best(baseline, names));
            best = Optional.of(lead);
            comparer.family(baseline, lead, names).forEach(c -> contrasts
                    .computeIfAbsent(new Comparer.Contrast(c.baseline(), c.candidate()), k -> new ArrayList<>())
                    .add(c));
        }
        return new Compared(baseline, cast, needs, contrasts);
    }

    /** The same, which is about one pair of several. */
    Compared ofPair(SetupName one, SetupName other) {
        Comparer.Contrast pair = new Comparer.Contrast(one.name(), other.name());
        Cast two = new Cast(made(), List.of(one, other), cast.plan(), cast.acrossCarriers());
        return new Compared(one.name(), two, needs, Map.of(pair, contrasts.get(pair)));
    }

    List<SetupName> setups() {
        return cast.setups();
    }

    List<LoggedMeasurement> made() {
        return cast.made();
    }

    /** What was measured of a figure, as comparisons take it. */
    List<Sample> samples(Figure metric) {
        return cast.samples(metric);
    }

    /** Each setup against the baseline on the metric that matters most. */
    List<Comparison> firsts() {
        return contrasts.values().stream()
                .map(all -> all.get(0))
                .filter(c -> c.baseline().equals(baseline))
                .toList();
    }

    /** All pairs, each with its comparisons; the one that is to be said first leads. */
    List<List<Comparison>> leadingFirst() {
        if (contrasts.isEmpty()) {
            return List.of();
        }
        List<Comparison> leading = of(Tonight.leading(firsts()));
        return contrasts.values().stream()
                .sorted(Comparator.comparing((List<Comparison> all) -> all != leading))
                .toList();
    }

    /** All metrics of the pair of a comparison. */
    List<Comparison> of(Comparison c) {
        return contrasts.get(new Comparer.Contrast(c.baseline(), c.candidate()));
    }

    SetupName setup(String name) {
        return setups().stream().filter(s -> s.name().equals(name)).findFirst().orElseThrow();
    }

    /** In how many runs each setup met the needs. */
    Map<String, Met> met() {
        return setups().stream().collect(Collectors.toMap(SetupName::name, s -> met(s.name())));
    }

    private Met met(String setup) {
        return Met.of(
                needs,
                made().stream()
                        .filter(m -> m.setup().equals(setup))
                        .map(m -> m.ok()
                                ? Optional.<Function<Figure, Optional<Double>>>of(
                                        f -> Optional.ofNullable(m.value(f)).map(Number::doubleValue))
                                : Optional.<Function<Figure, Optional<Double>>>empty())
                        .toList());
    }

    List<ResultView.NeedMet> needMet() {
        Map<String, Met> met = met();
        return setups().stream()
                .map(s -> new ResultView.NeedMet(
                        s, met.get(s.name()).runs(), met.get(s.name()).met()))
                .toList();
    }

    /** The chosen needs by name; null without any. */
    @Nullable
    String needName() {
        return needs.isEmpty() ? null : needs.stream().map(Need::name).collect(Collectors.joining(" and "));
    }
}
