package syntoma.app.trial;

import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.Visit;
import syntoma.app.campsite.Visits;
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.app.measurement.Measurements;
import syntoma.app.measurement.Selection;
import syntoma.app.need.Needs;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.NotFoundException;
import syntoma.app.setup.SetupName;
import syntoma.app.setup.Setups;
import syntoma.core.need.Need;
import syntoma.core.reading.Figure;
import syntoma.core.unit.Text;
import syntoma.core.verdict.Plan;
import syntoma.core.verdict.Tonight;

/** What trials, and setups at a stay, came to: finds the measurements, lets the core judge them. */
@Service
@Transactional(readOnly = true)
public class Results {
    /** Every metric there is. */
    private static final int ALL = Integer.MAX_VALUE;

    private final Campsites campsites;
    private final Visits visits;
    private final Setups setups;
    private final Measurements measurements;
    private final PastTrials pastTrials;
    private final Plans plans;
    private final ResultViews views;
    private final Needs needs;
    private final Clock clock;

    Results(
            Campsites campsites,
            Visits visits,
            Setups setups,
            Measurements measurements,
            PastTrials pastTrials,
            Plans plans,
            ResultViews views,
            Needs needs,
            Clock clock) {
        this.campsites = campsites;
        this.visits = visits;
        this.setups = setups;
        this.measurements = measurements;
        this.pastTrials = pastTrials;
        this.plans = plans;
        this.views = views;
        this.needs = needs;
        this.clock = clock;
    }

    /** The result of a trial; baseline defaults to the first of its design, else to the setup that was measured first. */
    ResultView ofTrial(String campsite, String trial, Optional<String> baseline) {
        PastTrials.Key key = new PastTrials.Key(campsites.of(campsite).id(), trial);
        PastTrials.Reading trials = pastTrials.read();
        if (trials.measurements(key).isEmpty()) {
            throw new NotFoundException(
                    plans.rounds(key.campsite(), trial).isPresent()
                            ? "nothing was measured in the trial " + Text.quote(trial) + " at " + campsite + " yet"
                            : "no trial is named " + Text.quote(trial) + " at " + campsite);
        }
        SetupComparison compared = compare(key, trials, needs.chosenNeeds(), ALL, baseline);
        return views.of(
                campsite, compared, trials.plannedRounds(key), ResultViews.Setting.own(Optional.of(key), compared));
    }

    /**
     * The setups of a trial that has measurements, compared.
     *
     * @param metrics so many of them at most
     */
    SetupComparison compare(PastTrials.Key trial, PastTrials.Reading trials, List<Need> asked, int metrics) {
        return compare(trial, trials, asked, metrics, Optional.empty());
    }

    private SetupComparison compare(
            PastTrials.Key trial, PastTrials.Reading trials, List<Need> asked, int metrics, Optional<String> baseline) {
        Cast cast = Cast.of(trials.measurements(trial), plans.designed(trial.campsite(), trial.name()), setupsByName());
        return compare(cast, baseline, asked, metrics, metric -> trials.plan(trial, metric), trials);
    }

    /**
     * Two setups at a stay, over everything logged there, or by the planned trial in which both were tried; without two of
     * them the view has no contrast.
     */
    ResultView ofStay(long stay, Optional<String> baseline, Optional<String> candidate) {
        baseline.ifPresent(b -> candidate.ifPresent(c -> Comparisons.refuseOne(b, c)));
        Visit visit = visits.of(stay);
        List<LoggedMeasurement> made =
                measurements.list(Selection.at(visit.campsiteId()).duringStay(stay));
        List<SetupName> there = setupsIn(made);
        if (made.isEmpty()) {
            return ResultView.empty(visit.campsite(), visit.arrivedAt(), OffsetDateTime.now(clock));
        }
        List<SetupName> pair = pair(there, made, baseline, candidate);
        List<String> names = pair.stream().map(SetupName::name).toList();
        List<Need> asked = needs.chosenNeeds();
        PastTrials.Reading trials = pastTrials.read();
        Optional<PastTrials.Key> judgedBy =
                pair.size() < 2 ? Optional.empty() : trials.plannedAmong(made, visit.campsiteId(), names);
        SetupComparison compared = judgedBy.map(trial -> compare(trial, trials, asked, ALL, Optional.of(names.get(0)))
                        .ofPair(pair.get(0), pair.get(1)))
                .orElseGet(() -> compare(
                        Cast.of(made, pair), Optional.of(names.get(0)), asked, ALL, m -> Optional.empty(), trials));
        return views.of(
                visit.campsite(),
                compared,
                judgedBy.flatMap(trials::plannedRounds),
                new ResultViews.Setting(
                        Optional.empty(),
                        judgedBy.map(PastTrials.Key::name),
                        there,
                        countLeftOut(made, compared.measurements())));
    }

    private static int countLeftOut(List<LoggedMeasurement> made, List<LoggedMeasurement> judged) {
        Set<Long> numbers = judged.stream().map(LoggedMeasurement::id).collect(Collectors.toSet());
        return (int) made.stream().filter(m -> !numbers.contains(m.id())).count();
    }

    /** The two that were asked for; where one was not, the most measured setup beside the other. */
    private List<SetupName> pair(
            List<SetupName> there,
            List<LoggedMeasurement> made,
            Optional<String> baseline,
            Optional<String> candidate) {
        List<SetupName> most = there.stream()
                .sorted(Comparator.comparing((SetupName s) -> -count(made, s)))
                .toList();
        if (baseline.isEmpty() && candidate.isEmpty()) {
            return most.stream()
                    .limit(2)
                    .sorted(Comparator.comparing(there::indexOf))
                    .toList();
        }
        Optional<SetupName> first = baseline.map(setups::of);
        Optional<SetupName> second = candidate.map(setups::of);
        SetupName known = first.or(() -> second).orElseThrow();
        Optional<SetupName> beside =
                most.stream().filter(s -> !s.name().equals(known.name())).findFirst();
        return Stream.of(first.or(() -> beside), second.or(() -> beside))
                .flatMap(Optional::stream)
                .toList();
    }

    private static long count(List<LoggedMeasurement> made, SetupName setup) {
        return made.stream()
                .filter(m -> m.setup().equals(setup.name()) && m.hasSucceeded())
                .count();
    }

    /** What was measured in this time counts as lately, and is compared on the first view. */
    public static final Duration LATELY = Duration.ofHours(6);

    /**
     * A pair of setups of which what was measured says which one to use.
     *
     * @param use the setup to use, called “setup on carrier” where carriers were compared
     * @param carriers on which they were measured
     */
    public record DecidedPair(String use, String instead, Set<String> carriers) {}

    /** What was decided by some measurements at a campsite, as {@link #lately} compares them. */
    public List<DecidedPair> decidedPairs(String campsite, List<LoggedMeasurement> made) {
        if (made.isEmpty()) {
            return List.of();
        }
        SetupComparison compared = comparedLately(campsites.of(campsite).id(), made);
        Set<String> on = made.stream()
                .map(LoggedMeasurement::carrier)
                .filter(Objects::nonNull)
                .collect(Collectors.toSet());
        return compared.contrasts().values().stream()
                .flatMap(pair -> compared.overall(pair).choice().setup().stream()
                        .map(use -> new DecidedPair(use, pair.get(0).otherThan(use), on)))
                .toList();
    }

    /** What was measured lately at a campsite: what to say of it, and the comparison where there is one. */
    public record LatestTrial(String headline, ResultView view) {}

    /**
     * The setups among some measurements at a campsite, compared; empty without any. A trial among them comes first: its
     * plan is known, so it is judged as a trial.
     *
     * @param inUse the setup that is up
     */
    public Optional<LatestTrial> lately(String campsite, List<LoggedMeasurement> made, Optional<String> inUse) {
        if (made.isEmpty()) {
            return Optional.empty();
        }
        long place = campsites.of(campsite).id();
        PastTrials.Reading trials = pastTrials.read();
        Optional<PastTrials.Key> trial = latest(place, made);
        SetupComparison compared = comparedLately(place, made);
        ResultView view = views.of(
                campsite, compared, trial.flatMap(trials::plannedRounds), ResultViews.Setting.own(trial, compared));
        String headline = compared.contrasts().isEmpty()
                ? Tonight.ofOne(compared.baseline(), compared.need())
                : Tonight.sentence(compared.leading(), inUse, compared.overall(compared.leading()));
        return Optional.of(new LatestTrial(headline, view));
    }

    /** The trial among some measurements that was measured last. */
    private static Optional<PastTrials.Key> latest(long place, List<LoggedMeasurement> made) {
        return made.stream()
                .filter(m -> m.trial() != null)
                .map(m -> new PastTrials.Key(place, m.trial()))
                .reduce((earlier, later) -> later);
    }

    private SetupComparison comparedLately(long place, List<LoggedMeasurement> made) {
        List<Need> asked = needs.chosenNeeds();
        PastTrials.Reading trials = pastTrials.read();
        return latest(place, made)
                .map(key -> compare(key, trials, asked, ALL))
                .orElseGet(() -> compare(
                        Cast.of(made, setupsIn(made)), Optional.empty(), asked, ALL, m -> Optional.empty(), trials));
    }

    private static SetupComparison compare(
            Cast cast,
            Optional<String> wantedBaseline,
            List<Need> asked,
            int metrics,
            Function<Figure, Optional<Plan>> plan,
            PastTrials.Reading trials) {
        String baseline = wantedBaseline.orElseGet(cast::baseline);
        if (cast.setups().stream().noneMatch(s -> s.name().equals(baseline))) {
            throw new InvalidInputException(
                    "baseline", "baseline is " + Text.quote(baseline) + ", which was not measured here");
        }
        return SetupComparison.of(
                baseline, cast, asked, metrics, plan, metric -> trials.capped(cast.measurements(), metric));
    }

    private List<SetupName> setupsIn(List<LoggedMeasurement> made) {
        return Cast.of(made, Optional.empty(), setupsByName()).setups();
    }

    private Map<String, SetupName> setupsByName() {
        return setups.all().stream().collect(Collectors.toMap(SetupName::name, s -> s));
    }
}
