package syntoma.app.trial;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.ToDoubleBiFunction;
import java.util.stream.IntStream;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.app.measurement.Measurements;
import syntoma.app.measurement.Selection;
import syntoma.app.platform.NotFound;
import syntoma.core.design.Remaining;
import syntoma.core.design.Visit;
import syntoma.core.trial.NextStep;
import syntoma.core.unit.Text;

/** Run sheets of designed trials: how far each is, by what was logged of it, and what comes next. */
@Service
@Transactional(readOnly = true)
class Sheets {
    private final Plans plans;
    private final Designs designs;
    private final Campsites campsites;
    private final Measurements measurements;

    Sheets(Plans plans, Designs designs, Campsites campsites, Measurements measurements) {
        this.plans = plans;
        this.designs = designs;
        this.campsites = campsites;
        this.measurements = measurements;
    }

    /**
     * A run sheet.
     *
     * @param visits all of them, in their order
     * @param made how many runs of each visit there are
     * @param next the place of the visit that comes next; null when all are made
     * @param minutesLeft of the whole
     * @param gbLeft that the runs to come take
     * @param minutesOfRun what one run takes
     * @param sessions when its rounds are made, where it is spread over times of day
     */
    record SheetView(
            String campsite,
            String trial,
            int rounds,
            int runs,
            String kind,
            List<DesignView.ContenderView> contenders,
            List<DesignView.VisitView> visits,
            List<Integer> made,
            @Nullable Integer next,
            double minutesLeft,
            double gbLeft,
            double minutesOfRun,
            List<DesignView.TimeOfDay> sessions) {

        /** What the rounds of one time of day take. */
        double minutes(DesignView.TimeOfDay session) {
            return visits.stream()
                    .filter(v -> v.round() >= session.fromRound() && v.round() <= session.toRound())
                    .mapToDouble(v -> v.minutes() + v.settleS() / 60.0 + runs * minutesOfRun)
                    .sum();
        }
    }

    /** A designed trial in a list, with how many of its visits are made. */
    record SheetRow(String campsite, String trial, int made, int visits) {}

    /** The designed trials that are not made yet, the latest first. */
    List<SheetRow> open() {
        Map<Long, String> places = campsites.names();
        return plans.designed().stream()
                .map(plan -> of(places.get(plan.campsiteId), plan.name))
                .filter(sheet -> sheet.next() != null)
                .map(sheet -> new SheetRow(
                        sheet.campsite(),
                        sheet.trial(),
                        (int) sheet.made().stream()
                                .filter(m -> m >= sheet.runs())
                                .count(),
                        sheet.visits().size()))
                .toList();
    }

    /**
     * The run sheet of a trial.
     *
     * @throws NotFound when it was not designed
     */
    SheetView of(String campsite, String trial) {
        long place = campsites.of(campsite).id();
        TrialPlan plan = plans.designed(place, trial)
                .orElseThrow(() ->
                        new NotFound("no trial that was designed is named " + Text.quoted(trial) + " at " + campsite));
        Designs.Made made = designs.again(plan);
        List<Visit> visits = made.visits();
        Remaining remaining = Remaining.of(
                visits,
                plan.runs,
                measurements.list(Selection.at(place).ofTrial(trial)).stream()
                        .filter(m -> m.round() != null)
                        .map(m -> new Remaining.Made(m.round(), contender(made.contenders(), m)))
                        .toList());
        return new SheetView(
                campsite,
                trial,
                plan.plannedRounds,
                plan.runs,
                plan.kind,
                made.contenders(),
                made.views(),
                remaining.made(),
                remaining.next().orElse(null),
                left(remaining, made::minutes),
                left(remaining, made::gb),
                made.minutesOfRun(),
                Designs.sessions(plan.plannedRounds, plan.times(), plan.plannedAt.toLocalDateTime()));
    }

    /** What to measure next in a designed trial; empty where it was not designed, or all of it is made. */
    Optional<NextStep> next(String campsite, String trial) {
        return plans.designed(campsites.of(campsite).id(), trial)
                .map(plan -> of(campsite, trial))
                .filter(sheet -> sheet.next() != null)
                .map(sheet -> sheet.visits().get(sheet.next()).step(sheet.contenders()));
    }

    private static int contender(List<DesignView.ContenderView> contenders, LoggedMeasurement m) {
        return IntStream.range(0, contenders.size())
                .filter(i -> contenders.get(i).setup().name().equals(m.setup())
                        && Objects.equals(contenders.get(i).carrier(), m.carrier()))
                .findFirst()
                .orElse(-1);
    }

    /** What the visits that lack runs take, by visit and the number of runs that it lacks. */
    private static double left(Remaining remaining, ToDoubleBiFunction<Integer, Integer> takes) {
        return IntStream.range(0, remaining.visits().size())
                .filter(i -> remaining.made().get(i) < remaining.runs())
                .mapToDouble(i -> takes.applyAsDouble(
                        i, remaining.runs() - remaining.made().get(i)))
                .sum();
    }
}
