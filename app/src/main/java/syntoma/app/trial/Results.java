package syntoma.app.trial;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.Visit;
import syntoma.app.campsite.Visits;
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.app.measurement.Measurements;
import syntoma.app.measurement.Selection;
import syntoma.app.platform.InvalidInput;
import syntoma.app.platform.NotFound;
import syntoma.app.platform.Optionals;
import syntoma.app.setup.SetupName;
import syntoma.app.setup.Setups;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Blocks;
import syntoma.core.unit.Text;
import syntoma.core.verdict.Cautions;
import syntoma.core.verdict.Circumstances;
import syntoma.core.verdict.Comparer;
import syntoma.core.verdict.Comparison;
import syntoma.core.verdict.Headline;

/** What trials, and setups at a stay, came to: finds the measurements, lets the core judge them. */
@Service
@Transactional(readOnly = true)
public class Results {
    private final Campsites campsites;
    private final Visits visits;
    private final Setups setups;
    private final Measurements measurements;
    private final Plans plans;
    private final Clock clock;

    Results(Campsites campsites, Visits visits, Setups setups, Measurements measurements, Plans plans, Clock clock) {
        this.campsites = campsites;
        this.visits = visits;
        this.setups = setups;
        this.measurements = measurements;
        this.plans = plans;
        this.clock = clock;
    }

    /** The result of a trial; baseline defaults to the setup that was measured first. */
    ResultView ofTrial(String campsite, String trial, Optional<String> baseline) {
        long place = campsites.of(campsite).id();
        List<LoggedMeasurement> made = measurements.list(Selection.at(place).ofTrial(trial));
        if (made.isEmpty()) {
            throw new NotFound("no trial is named " + Text.quoted(trial) + " at " + campsite);
        }
        return result(campsite, trial, made, setupsIn(made), baseline, plans.rounds(place, trial));
    }

    /** Two setups at a stay, over everything logged there; without two of them the view has no contrast. */
    ResultView ofStay(long stay, Optional<String> baseline, Optional<String> candidate) {
        baseline.ifPresent(b -> candidate.ifPresent(c -> Comparisons.refuseOne(b, c)));
        Visit visit = visits.of(stay);
        List<LoggedMeasurement> made =
                measurements.list(Selection.at(visit.campsiteId()).duringStay(stay));
        List<SetupName> there = setupsIn(made);
        if (made.isEmpty()) {
            return ResultView.empty(visit.campsite(), visit.arrivedAt(), OffsetDateTime.now(clock));
        }
        List<SetupName> pair = candidate.isPresent() && baseline.isPresent()
                ? List.of(setups.of(baseline.get()), setups.of(candidate.get()))
                : mostMeasured(there, made);
        return result(visit.campsite(), null, made, pair, baseline, OptionalInt.empty())
                .among(there);
    }

    /** The two setups with the most ok measurements, in the order in which they were first measured. */
    private static List<SetupName> mostMeasured(List<SetupName> there, List<LoggedMeasurement> made) {
        return there.stream()
                .sorted(Comparator.comparing((SetupName s) -> -count(made, s)))
                .limit(2)
                .sorted(Comparator.comparing(there::indexOf))
                .toList();
    }

    private static long count(List<LoggedMeasurement> made, SetupName setup) {
        return made.stream()
                .filter(m -> m.setup().equals(setup.name()) && m.ok())
                .count();
    }

    /**
     * The setups among some measurements at a campsite, compared; empty with fewer than two. A trial among them comes
     * first: its plan is known, so it is judged as a trial.
     */
    public Optional<ResultView> lately(String campsite, List<LoggedMeasurement> made) {
        Optional<String> trial = made.stream()
                .filter(m -> m.trial() != null)
                .map(LoggedMeasurement::trial)
                .reduce((earlier, later) -> later);
        if (trial.isPresent()) {
            return Optional.of(ofTrial(campsite, trial.get(), Optional.empty()));
        }
        List<SetupName> there = setupsIn(made);
        return there.size() < 2
                ? Optional.empty()
                : Optional.of(result(campsite, null, made, there, Optional.empty(), OptionalInt.empty()));
    }

    private ResultView result(
            String campsite,
            @Nullable String trial,
            List<LoggedMeasurement> made,
            List<SetupName> compared,
            Optional<String> wantedBaseline,
            OptionalInt planned) {
        Map<String, SetupName> byName = compared.stream().collect(Collectors.toMap(SetupName::name, s -> s));
        String baseline = wantedBaseline.orElseGet(() -> compared.get(0).name());
        if (!byName.containsKey(baseline)) {
            throw new InvalidInput(
                    "baseline", "baseline is " + Text.quoted(baseline) + ", which was not measured here");
        }
        Map<Comparer.Contrast, List<Comparison>> perContrast = new LinkedHashMap<>();
        for (Figure metric : Figure.compared(f -> made.stream().anyMatch(m -> m.value(f) != null))) {
            new Comparer(metric, Measurements.samples(made, metric), planned, OptionalDouble.empty())
                    .family(baseline, compared.stream().map(SetupName::name).toList())
                    .forEach(c -> perContrast
                            .computeIfAbsent(new Comparer.Contrast(c.baseline(), c.candidate()), k -> new ArrayList<>())
                            .add(c));
        }
        ZoneOffset offset = made.get(0).takenAt().getOffset();
        Circumstances under = circumstances(made);
        List<ResultView.Contrast> contrasts = perContrast.entrySet().stream()
                .map(e -> new ResultView.Contrast(
                        byName.get(e.getKey().baseline()),
                        byName.get(e.getKey().candidate()),
                        Headline.of(e.getValue()),
                        e.getValue().stream()
                                .map(c -> ResultView.Effect.of(c, offset))
                                .toList(),
                        e.getValue().get(0).failures().remark().orElse(null),
                        Cautions.of(e.getValue(), under, planned.isPresent())))
                .toList();
        return new ResultView(
                campsite,
                trial,
                made.get(0).takenAt(),
                made.get(made.size() - 1).takenAt(),
                Blocks.forOutcomes(Measurements.samples(made, Figure.UP_MBPS)).size(),
                Optionals.boxed(planned),
                stated(made, LoggedMeasurement::carrier),
                stated(made, LoggedMeasurement::server),
                compared,
                baseline,
                contrasts.size() > 1,
                contrasts);
    }

    private static Circumstances circumstances(List<LoggedMeasurement> made) {
        return Circumstances.of(made.stream()
                .map(m -> new Circumstances.Made(
                        m.takenAt(), m.carrier() == null ? "" : m.carrier(), m.server() == null ? "" : m.server()))
                .toList());
    }

    private List<SetupName> setupsIn(List<LoggedMeasurement> made) {
        Map<String, SetupName> all = setups.all().stream().collect(Collectors.toMap(SetupName::name, s -> s));
        return stated(made, LoggedMeasurement::setup).stream().map(all::get).toList();
    }

    private static List<String> stated(List<LoggedMeasurement> made, Function<LoggedMeasurement, String> part) {
        return made.stream().map(part).filter(v -> v != null).distinct().toList();
    }
}
