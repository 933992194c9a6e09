package syntoma.app.trial;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
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
import syntoma.app.platform.InvalidInput;
import syntoma.app.platform.NotFound;
import syntoma.app.setup.SetupName;
import syntoma.app.setup.Setups;
import syntoma.core.need.Need;
import syntoma.core.need.Threshold;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Blocks;
import syntoma.core.unit.Text;
import syntoma.core.verdict.Cautions;
import syntoma.core.verdict.Circumstances;
import syntoma.core.verdict.Comparison;
import syntoma.core.verdict.Headline;
import syntoma.core.verdict.Judged;
import syntoma.core.verdict.Plan;
import syntoma.core.verdict.Tonight;

/** What trials, and setups at a stay, came to: finds the measurements, lets the core judge them. */
@Service
@Transactional(readOnly = true)
public class Results {
    /** Every metric there is. */
    private static final int ALL = Integer.MAX_VALUE;

    /**
     * Within what a comparison stands.
     *
     * @param trial of which it is the result; empty when it is of a stay
     * @param judgedBy the planned trial that a stay is judged by
     * @param there all setups that were measured there
     * @param aside measurements there that are not part of it
     */
    private record Setting(Optional<String> trial, Optional<String> judgedBy, List<SetupName> there, int aside) {
        /** A comparison of all there is, in a trial or without one. */
        static Setting own(Optional<PastTrials.Key> trial, Compared compared) {
            return new Setting(trial.map(PastTrials.Key::name), Optional.empty(), compared.setups(), 0);
        }
    }

    private final Campsites campsites;
    private final Visits visits;
    private final Setups setups;
    private final Measurements measurements;
    private final PastTrials pastTrials;
    private final Needs needs;
    private final Clock clock;

    Results(
            Campsites campsites,
            Visits visits,
            Setups setups,
            Measurements measurements,
            PastTrials pastTrials,
            Needs needs,
            Clock clock) {
        this.campsites = campsites;
        this.visits = visits;
        this.setups = setups;
        this.measurements = measurements;
        this.pastTrials = pastTrials;
        this.needs = needs;
        this.clock = clock;
    }

    /** The result of a trial; baseline defaults to the setup that was measured first. */
    ResultView ofTrial(String campsite, String trial, Optional<String> baseline) {
        PastTrials.Key key = new PastTrials.Key(campsites.of(campsite).id(), trial);
        PastTrials.Reading trials = pastTrials.read();
        if (trials.made(key).isEmpty()) {
            throw new NotFound("no trial is named " + Text.quoted(trial) + " at " + campsite);
        }
        Compared compared = compared(key, trials, needs.chosen(), ALL, baseline);
        return view(campsite, compared, trials.planned(key), Setting.own(Optional.of(key), compared));
    }

    /**
     * The setups of a trial that has measurements, compared.
     *
     * @param metrics so many of them at most
     */
    Compared compared(PastTrials.Key trial, PastTrials.Reading trials, List<Need> asked, int metrics) {
        return compared(trial, trials, asked, metrics, Optional.empty());
    }

    private Compared compared(
            PastTrials.Key trial, PastTrials.Reading trials, List<Need> asked, int metrics, Optional<String> baseline) {
        List<LoggedMeasurement> made = trials.made(trial);
        return compared(made, setupsIn(made), baseline, asked, metrics, metric -> trials.plan(trial, metric), trials);
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
        List<Need> asked = needs.chosen();
        PastTrials.Reading trials = pastTrials.read();
        Optional<PastTrials.Key> judgedBy =
                pair.size() < 2 ? Optional.empty() : trials.plannedAmong(made, visit.campsiteId(), names);
        Compared compared = judgedBy.map(trial -> compared(trial, trials, asked, ALL, Optional.of(names.get(0)))
                        .ofPair(pair.get(0), pair.get(1)))
                .orElseGet(() ->
                        compared(made, pair, Optional.of(names.get(0)), asked, ALL, m -> Optional.empty(), trials));
        return view(
                visit.campsite(),
                compared,
                judgedBy.flatMap(trials::planned),
                new Setting(Optional.empty(), judgedBy.map(PastTrials.Key::name), there, aside(made, compared.made())));
    }

    private static int aside(List<LoggedMeasurement> made, List<LoggedMeasurement> judged) {
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
                .filter(m -> m.setup().equals(setup.name()) && m.ok())
                .count();
    }

    /** What was measured lately at a campsite: what to say of it, and the comparison where there is one. */
    public record Lately(String headline, ResultView view) {}

    /**
     * The setups among some measurements at a campsite, compared; empty without any. A trial among them comes first: its
     * plan is known, so it is judged as a trial.
     *
     * @param inUse the setup that is up
     */
    public Optional<Lately> lately(String campsite, List<LoggedMeasurement> made, Optional<String> inUse) {
        if (made.isEmpty()) {
            return Optional.empty();
        }
        long place = campsites.of(campsite).id();
        List<Need> asked = needs.chosen();
        PastTrials.Reading trials = pastTrials.read();
        Optional<PastTrials.Key> trial = made.stream()
                .filter(m -> m.trial() != null)
                .map(m -> new PastTrials.Key(place, m.trial()))
                .reduce((earlier, later) -> later);
        Compared compared = trial.map(key -> compared(key, trials, asked, ALL))
                .orElseGet(() ->
                        compared(made, setupsIn(made), Optional.empty(), asked, ALL, m -> Optional.empty(), trials));
        ResultView view = view(campsite, compared, trial.flatMap(trials::planned), Setting.own(trial, compared));
        String headline = compared.contrasts().isEmpty()
                ? Tonight.ofOne(compared.baseline(), asked, compared.met().get(compared.baseline()))
                : Tonight.said(compared.firsts(), inUse, asked, compared.met());
        return Optional.of(new Lately(headline, view));
    }

    private static Compared compared(
            List<LoggedMeasurement> made,
            List<SetupName> setups,
            Optional<String> wantedBaseline,
            List<Need> asked,
            int metrics,
            Function<Figure, Optional<Plan>> plan,
            PastTrials.Reading trials) {
        String baseline = wantedBaseline.orElseGet(() -> setups.get(0).name());
        if (setups.stream().noneMatch(s -> s.name().equals(baseline))) {
            throw new InvalidInput(
                    "baseline", "baseline is " + Text.quoted(baseline) + ", which was not measured here");
        }
        return Compared.of(baseline, setups, made, asked, metrics, plan, metric -> trials.held(made, metric));
    }

    private static ResultView view(String campsite, Compared compared, Optional<Integer> planned, Setting setting) {
        List<LoggedMeasurement> made = compared.made();
        ZoneOffset offset = made.get(0).takenAt().getOffset();
        Circumstances under = circumstances(made);
        boolean inFamily = setting.judgedBy.isPresent();
        int setups = inFamily
                ? stated(made, LoggedMeasurement::setup).size()
                : compared.setups().size();
        Judged judged = new Judged(
                planned.isPresent(),
                setups * (setups - 1) / 2,
                setting.aside,
                inFamily ? 0 : setting.there.size() - setups);
        List<ResultView.Contrast> contrasts = compared.contrasts().values().stream()
                .map(all -> contrast(all, compared, under, judged, offset))
                .toList();
        return new ResultView(
                campsite,
                setting.trial.orElse(null),
                made.get(0).takenAt(),
                made.get(made.size() - 1).takenAt(),
                Blocks.forOutcomes(Measurements.samples(made, Figure.UP_MBPS)).size(),
                planned.orElse(null),
                stated(made, LoggedMeasurement::carrier),
                stated(made, LoggedMeasurement::server),
                setting.there,
                compared.baseline(),
                setting.judgedBy.orElse(null),
                contrasts.size() > 1,
                compared.needName(),
                compared.needMet(),
                contrasts);
    }

    private static ResultView.Contrast contrast(
            List<Comparison> all, Compared compared, Circumstances under, Judged judged, ZoneOffset offset) {
        Comparison first = all.get(0);
        return new ResultView.Contrast(
                compared.setup(first.baseline()),
                compared.setup(first.candidate()),
                Headline.of(all, compared.needs()),
                all.stream()
                        .map(c -> ResultView.Effect.of(c, Threshold.of(compared.needs(), c.metric()), offset))
                        .toList(),
                Cautions.of(all, under, judged),
                judged.said(first));
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
