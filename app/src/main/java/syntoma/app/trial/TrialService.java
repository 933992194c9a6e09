package syntoma.app.trial;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.logbook.Logbook;
import syntoma.app.logbook.LoggedMeasurement;
import syntoma.app.platform.Conflict;
import syntoma.app.platform.InvalidInput;
import syntoma.app.platform.NotFound;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Blocks;
import syntoma.core.trial.Outcome;
import syntoma.core.unit.Text;
import syntoma.core.verdict.Comparer;
import syntoma.core.verdict.Comparison;
import syntoma.core.verdict.Looks;

/** Trials and comparisons: finds the measurements, lets the core judge them. */
@Service
@Transactional(readOnly = true)
public class TrialService {
    /** In the order in which they matter to most; the headline is made of the first two. */
    private static final List<Figure> FIRST = List.of(
            Figure.UP_MBPS,
            Figure.DOWN_MBPS,
            Figure.UP_LOADED_MS,
            Figure.DOWN_LOADED_MS,
            Figure.RSRP_DBM,
            Figure.SINR_DB);

    private final EntityManager entities;
    private final Logbook logbook;

    TrialService(EntityManager entities, Logbook logbook) {
        this.entities = entities;
        this.logbook = logbook;
    }

    /** A trial in the list; {@code plannedRounds} is null when it was not planned in Syntoma. */
    public record TrialRow(Logbook.TrialSpan trial, @Nullable Integer plannedRounds) {}

    /** All trials that have measurements, the latest first. */
    public List<TrialRow> trials() {
        Map<String, Integer> plans = new LinkedHashMap<>();
        entities.createQuery("from TrialPlan p", TrialPlan.class)
                .getResultList()
                .forEach(p -> plans.put(p.campsiteId + " " + p.name, p.plannedRounds));
        return logbook.trials().stream()
                .map(t -> new TrialRow(t, plans.get(t.campsiteId() + " " + t.name())))
                .toList();
    }

    /**
     * Notes before the first measurement how many rounds a trial is planned for.
     *
     * @throws InvalidInput when it has measurements already, or the rounds are not 3 to 20
     * @throws Conflict when it is planned already
     */
    @Transactional
    public void plan(String campsite, String name, int rounds) {
        InvalidInput.naming("plannedRounds", () -> Looks.level(rounds));
        long place = logbook.campsite(campsite).id();
        boolean begun = logbook.trials().stream()
                .anyMatch(t -> t.campsiteId() == place && t.name().equals(name));
        if (begun) {
            throw new InvalidInput(
                    "name", "trial " + Text.quoted(name) + " has measurements; a plan is made before the first");
        }
        if (plannedRounds(place, name).isPresent()) {
            throw new Conflict("name", "trial " + Text.quoted(name) + " is planned already; choose another name");
        }
        entities.persist(new TrialPlan(place, name, rounds, logbook.now()));
    }

    /** One pair on one metric, unadjusted; over a trial, or over all blocks at a campsite. */
    Comparison compare(
            String baseline, String candidate, Figure metric, Optional<String> campsite, Optional<String> trial) {
        logbook.setup(baseline);
        logbook.setup(candidate);
        if (baseline.equals(candidate)) {
            throw new InvalidInput(
                    "candidate", "baseline and candidate are both " + Text.quoted(baseline) + "; name two setups");
        }
        long place;
        if (campsite.isPresent()) {
            place = logbook.campsite(campsite.get()).id();
        } else if (trial.isPresent()) {
            place = onlyCampsiteOf(trial.get());
        } else {
            throw new InvalidInput("campsite", "campsite is missing; name a campsite, or a trial whose name is unique");
        }
        Logbook.Selection selection = Logbook.Selection.at(place);
        if (trial.isPresent()) {
            String name = trial.get();
            if (logbook.trials().stream()
                    .noneMatch(t -> t.campsiteId() == place && t.name().equals(name))) {
                throw new NotFound("no trial is named " + Text.quoted(name) + " there");
            }
            selection = selection.ofTrial(name);
        }
        OptionalInt planned = trial.map(name -> plannedRounds(place, name)).orElse(OptionalInt.empty());
        List<LoggedMeasurement> measurements = logbook.measurements(selection);
        return new Comparer(metric, Logbook.samples(measurements, metric), planned, OptionalDouble.empty())
                .pair(baseline, candidate);
    }

    private long onlyCampsiteOf(String trial) {
        List<Logbook.TrialSpan> found =
                logbook.trials().stream().filter(t -> t.name().equals(trial)).toList();
        if (found.isEmpty()) {
            throw new NotFound("no trial is named " + Text.quoted(trial));
        }
        if (found.size() > 1) {
            throw new InvalidInput(
                    "trial",
                    "trial " + Text.quoted(trial) + " was held at "
                            + found.stream().map(Logbook.TrialSpan::campsite).collect(Collectors.joining(", "))
                            + "; name the campsite too");
        }
        return found.get(0).campsiteId();
    }

    /** The result of a trial; baseline defaults to the setup that was measured first. */
    ResultView trialResult(String campsite, String trial, Optional<String> baseline) {
        long place = logbook.campsite(campsite).id();
        List<LoggedMeasurement> measurements =
                logbook.measurements(Logbook.Selection.at(place).ofTrial(trial));
        if (measurements.isEmpty()) {
            throw new NotFound("no trial is named " + Text.quoted(trial) + " at " + campsite);
        }
        return result(campsite, trial, measurements, setupsIn(measurements), baseline, plannedRounds(place, trial));
    }

    /** Two setups at a stay, over everything logged there; without two of them the view has no contrast. */
    ResultView stayResult(long stay, Optional<String> baseline, Optional<String> candidate) {
        Logbook.Visit visit = logbook.visit(stay);
        List<LoggedMeasurement> measurements =
                logbook.measurements(Logbook.Selection.at(visit.campsiteId()).duringStay(stay));
        List<Logbook.SetupName> setups = setupsIn(measurements);
        if (measurements.isEmpty()) {
            return new ResultView(
                    visit.campsite(),
                    null,
                    visit.arrivedAt(),
                    logbook.now(),
                    0,
                    null,
                    List.of(),
                    List.of(),
                    setups,
                    null,
                    false,
                    List.of());
        }
        List<Logbook.SetupName> pair = new ArrayList<>(setups);
        if (candidate.isPresent() && baseline.isPresent()) {
            pair = List.of(logbook.setup(baseline.get()), logbook.setup(candidate.get()));
        } else if (setups.size() > 2) {
            pair = setups.stream()
                    .sorted(Comparator.comparing(s -> -count(measurements, s)))
                    .limit(2)
                    .sorted(Comparator.comparing(setups::indexOf))
                    .toList();
        }
        ResultView view = result(visit.campsite(), null, measurements, pair, baseline, OptionalInt.empty());
        return new ResultView(
                view.campsite(),
                null,
                view.from(),
                view.to(),
                view.rounds(),
                null,
                view.carriers(),
                view.servers(),
                setups,
                view.baseline(),
                false,
                view.contrasts());
    }

    /**
     * The setups among some measurements at a campsite, compared; empty with fewer than two. A trial among them comes
     * first: its plan is known, so it is judged as a trial.
     */
    public Optional<ResultView> lately(String campsite, List<LoggedMeasurement> measurements) {
        Optional<String> trial = measurements.stream()
                .filter(m -> m.trial() != null)
                .map(LoggedMeasurement::trial)
                .reduce((earlier, later) -> later);
        if (trial.isPresent()) {
            return Optional.of(trialResult(campsite, trial.get(), Optional.empty()));
        }
        List<Logbook.SetupName> setups = setupsIn(measurements);
        return setups.size() < 2
                ? Optional.empty()
                : Optional.of(result(campsite, null, measurements, setups, Optional.empty(), OptionalInt.empty()));
    }

    private ResultView result(
            String campsite,
            @Nullable String trial,
            List<LoggedMeasurement> measurements,
            List<Logbook.SetupName> setups,
            Optional<String> wantedBaseline,
            OptionalInt planned) {
        String baseline = wantedBaseline.orElseGet(() -> setups.get(0).name());
        Map<String, Logbook.SetupName> byName =
                setups.stream().collect(Collectors.toMap(Logbook.SetupName::name, s -> s));
        if (!byName.containsKey(baseline)) {
            throw new InvalidInput(
                    "baseline", "baseline is " + Text.quoted(baseline) + ", which was not measured here");
        }
        List<String> names = setups.stream().map(Logbook.SetupName::name).toList();
        Map<Comparer.Contrast, List<Comparison>> perContrast = new LinkedHashMap<>();
        for (Figure metric : shown(measurements)) {
            new Comparer(metric, Logbook.samples(measurements, metric), planned, OptionalDouble.empty())
                    .family(baseline, names)
                    .forEach(c -> perContrast
                            .computeIfAbsent(new Comparer.Contrast(c.baseline(), c.candidate()), k -> new ArrayList<>())
                            .add(c));
        }
        var offset = measurements.get(0).takenAt().getOffset();
        List<ResultView.Contrast> contrasts = perContrast.entrySet().stream()
                .map(e -> new ResultView.Contrast(
                        byName.get(e.getKey().baseline()),
                        byName.get(e.getKey().candidate()),
                        headline(e.getValue()),
                        e.getValue().stream()
                                .map(c -> ResultView.Effect.of(c, offset))
                                .toList(),
                        Cautions.of(measurements, e.getValue(), planned.isPresent())))
                .toList();
        int rounds = Blocks.forOutcomes(Logbook.samples(measurements, Figure.UP_MBPS))
                .size();
        return new ResultView(
                campsite,
                trial,
                measurements.get(0).takenAt(),
                measurements.get(measurements.size() - 1).takenAt(),
                rounds,
                planned.isPresent() ? planned.getAsInt() : null,
                distinct(measurements.stream().map(LoggedMeasurement::carrier).toList()),
                distinct(measurements.stream().map(LoggedMeasurement::server).toList()),
                setups,
                baseline,
                contrasts.size() > 1,
                contrasts);
    }

    /** The usual metrics, and those of the others that were measured. */
    private static List<Figure> shown(List<LoggedMeasurement> measurements) {
        List<Figure> shown = new ArrayList<>(FIRST);
        Figure.numbers().stream()
                .filter(f -> f.measure().comparing().isPresent() && !FIRST.contains(f))
                .filter(f -> measurements.stream().anyMatch(m -> m.value(f) != null))
                .forEach(shown::add);
        return shown;
    }

    /** The first two metrics that were compared, in a line each; with too few rounds on both, the reason once. */
    private static String headline(List<Comparison> comparisons) {
        List<Comparison> first = comparisons.stream().limit(2).toList();
        boolean tooFew = first.stream().allMatch(c -> c.rounds().size() < Looks.FEWEST);
        String start = first.get(0).headline();
        if (tooFew || first.size() < 2) {
            return start;
        }
        String candidate = first.get(1).candidate();
        String second = first.get(1).headline();
        return start + " "
                + (start.startsWith(candidate) && second.startsWith(candidate)
                        ? "It" + second.substring(candidate.length())
                        : second);
    }

    private OptionalInt plannedRounds(long campsite, String trial) {
        return entities.createQuery(
                        "from TrialPlan p where p.campsiteId = :campsite and p.name = :name", TrialPlan.class)
                .setParameter("campsite", campsite)
                .setParameter("name", trial)
                .getResultStream()
                .mapToInt(p -> p.plannedRounds)
                .findFirst();
    }

    private List<Logbook.SetupName> setupsIn(List<LoggedMeasurement> measurements) {
        List<String> names =
                distinct(measurements.stream().map(LoggedMeasurement::setup).toList());
        Map<String, Logbook.SetupName> all =
                logbook.setups().stream().collect(Collectors.toMap(Logbook.SetupName::name, s -> s));
        return names.stream().map(all::get).toList();
    }

    private static long count(List<LoggedMeasurement> measurements, Logbook.SetupName setup) {
        return measurements.stream()
                .filter(m -> m.setup().equals(setup.name()) && m.outcome().equals(Outcome.OK.label()))
                .count();
    }

    private static List<String> distinct(List<String> values) {
        return values.stream().filter(v -> v != null).distinct().toList();
    }
}
