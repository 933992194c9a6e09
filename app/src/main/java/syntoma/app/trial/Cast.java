package syntoma.app.trial;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.app.measurement.Measurements;
import syntoma.app.setup.SetupName;
import syntoma.core.need.Met;
import syntoma.core.need.Need;
import syntoma.core.need.NeedRecord;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Sample;
import syntoma.core.verdict.NeedComparison;

/**
 * Who is compared over which measurements. Where a trial was designed on several carriers, a setup is another one on each of them,
 * and is called so.
 *
 * @param setups in the order in which they were first measured
 * @param plan by which it was designed, where it was
 * @param isAcrossCarriers whether the carriers are part of what is compared
 */
record Cast(
        List<LoggedMeasurement> measurements,
        List<SetupName> setups,
        Optional<TrialPlan> plan,
        boolean isAcrossCarriers) {

    /** Some setups over measurements that no design was made for. */
    static Cast of(List<LoggedMeasurement> made, List<SetupName> setups) {
        return new Cast(made, setups, Optional.empty(), false);
    }

    /**
     * Those of a trial.
     *
     * @param names all setups there are, by name
     */
    static Cast of(List<LoggedMeasurement> made, Optional<TrialPlan> plan, Map<String, SetupName> names) {
        boolean across = plan.filter(p ->
                        p.contenders.stream().map(c -> c.carrier).distinct().count() > 1)
                .isPresent();
        if (!across) {
            return new Cast(
                    made,
                    made.stream()
                            .map(LoggedMeasurement::setup)
                            .distinct()
                            .map(names::get)
                            .toList(),
                    plan,
                    false);
        }
        List<LoggedMeasurement> called =
                made.stream().map(m -> m.withSetupName(name(m))).toList();
        Map<String, SetupName> of = made.stream()
                .collect(Collectors.toMap(Cast::name, m -> rename(names.get(m.setup()), name(m)), (one, same) -> one));
        return new Cast(
                called,
                called.stream()
                        .map(LoggedMeasurement::setup)
                        .distinct()
                        .map(of::get)
                        .toList(),
                plan,
                true);
    }

    private static String name(LoggedMeasurement m) {
        return name(m.setup(), m.carrier());
    }

    private static String name(String setup, @Nullable String carrier) {
        return setup + " on " + Objects.requireNonNullElse(carrier, "no carrier");
    }

    private static SetupName rename(SetupName setup, String name) {
        return new SetupName(setup.id(), name, setup.pennant(), setup.retired());
    }

    /** What the others are compared with where nothing else is asked for: as it was designed, else what was measured first. */
    String baseline() {
        List<String> names = setups.stream().map(SetupName::name).toList();
        return plan.stream()
                .flatMap(p -> p.contenders.stream().limit(1))
                .map(c -> isAcrossCarriers ? name(c.setup, c.carrier) : c.setup)
                .filter(names::contains)
                .findFirst()
                .orElse(names.get(0));
    }

    /** How often each setup met all that is asked. */
    NeedComparison compareNeeds(List<Need> needs) {
        Map<String, NeedRecord> records = setups.stream()
                .collect(Collectors.toMap(
                        SetupName::name,
                        setup -> NeedRecord.of(
                                needs,
                                measurements.stream()
                                        .filter(m -> m.setup().equals(setup.name()))
                                        .map(Cast::figures)
                                        .toList())));
        return NeedComparison.of(
                needs,
                records,
                samples(Figure.UP_MBPS),
                measurements.stream().map(m -> Met.isMet(needs, figures(m))).toList());
    }

    /** What a run measured; empty for one that failed. */
    private static Optional<Function<Figure, Optional<Double>>> figures(LoggedMeasurement m) {
        return m.hasSucceeded()
                ? Optional.of(figure -> Optional.ofNullable(m.value(figure)).map(Number::doubleValue))
                : Optional.empty();
    }

    /** What was measured of a figure, as comparisons take it. */
    List<Sample> samples(Figure metric) {
        List<Sample> samples = Measurements.samples(measurements, metric);
        return isAcrossCarriers ? samples.stream().map(Sample::ofAnySim).toList() : samples;
    }
}
