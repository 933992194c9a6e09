package syntoma.app.trial;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.ToDoubleBiFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.instrument.LoggedRuns;
import syntoma.app.instrument.Watch;
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.app.measurement.Measurements;
import syntoma.app.measurement.Selection;
import syntoma.app.need.Needs;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.NotFoundException;
import syntoma.app.state.RigStates;
import syntoma.core.design.Contender;
import syntoma.core.design.Doubts;
import syntoma.core.design.Remaining;
import syntoma.core.design.Visit;
import syntoma.core.trial.NextStep;
import syntoma.core.unit.Text;
import syntoma.core.verdict.Comparison;
import syntoma.core.verdict.GoingOn;
import syntoma.core.verdict.InterimLooks;

/** Run sheets of designed trials: how far each is, by what was logged of it, and what comes next. */
@Service
@Transactional(readOnly = true)
class Sheets {
    private static final int LONGEST_NOTE = 400;

    /** What is said of going on is about the figure that matters most. */
    private static final int SAID = 1;

    private final Plans plans;
    private final Designs designs;
    private final Campsites campsites;
    private final Measurements measurements;
    private final SheetEntries entries;
    private final PastTrials pastTrials;
    private final Results results;
    private final Needs needs;
    private final Watch watch;
    private final LoggedRuns runs;
    private final RigStates states;
    private final Clock clock;

    Sheets(
            Plans plans,
            Designs designs,
            Campsites campsites,
            Measurements measurements,
            SheetEntries entries,
            PastTrials pastTrials,
            Results results,
            Needs needs,
            Watch watch,
            LoggedRuns runs,
            RigStates states,
            Clock clock) {
        this.plans = plans;
        this.designs = designs;
        this.campsites = campsites;
        this.measurements = measurements;
        this.entries = entries;
        this.pastTrials = pastTrials;
        this.results = results;
        this.needs = needs;
        this.watch = watch;
        this.runs = runs;
        this.states = states;
        this.clock = clock;
    }

    /** A designed trial in a list, with how many of its visits are made. */
    record SheetRow(String campsite, String trial, int made, int visits) {}

    /** Whether what the router says agrees with what is to be measured; {@code heard} is false while it says nothing. */
    record SheetCheck(boolean heard, List<String> says) {}

    /** A text that is another one as soon as anything of the sheet is. */
    record SheetMark(String mark) {}

    /** Something done on a sheet; the visit by its place, a measurement by its number. */
    record EntryRequest(
            @Nullable String campsite,
            @Nullable String trial,
            @Nullable String kind,
            @Nullable Integer visit,
            @Nullable Long measurement,
            @Nullable String text) {}

    /** A plan with its visits and what was logged of it. */
    private record OpenSheet(
            TrialPlan plan,
            Designs.DesignedTrial design,
            List<LoggedMeasurement> loggedRuns,
            SheetEntries.Entries entries) {
        Remaining remaining() {
            return Remaining.of(
                    design.visits(),
                    plan.runs,
                    loggedRuns.stream()
                            .filter(m -> m.round() != null)
                            .map(m -> new Remaining.LoggedRun(m.round(), contender(m)))
                            .toList(),
                    entries.skippedVisits());
        }

        @Nullable
        SheetView.LastEntryView last() {
            return loggedRuns.stream()
                    .max(Comparator.comparingLong(LoggedMeasurement::id))
                    .map(m -> new SheetView.LastEntryView(m.id(), m.setup(), m.outcome(), m.takenAt()))
                    .orElse(null);
        }

        int contender(LoggedMeasurement m) {
            List<DesignView.ContenderView> contenders = design.contenders();
            return IntStream.range(0, contenders.size())
                    .filter(i -> contenders.get(i).setup().name().equals(m.setup())
                            && Objects.equals(contenders.get(i).carrier(), m.carrier()))
                    .findFirst()
                    .orElse(-1);
        }

        /** The cells on which a contender was measured. */
        List<String> cells(int contender) {
            return loggedRuns.stream()
                    .filter(m -> m.cellId() != null && contender(m) == contender)
                    .map(LoggedMeasurement::cellId)
                    .distinct()
                    .toList();
        }
    }

    /** The designed trials that are not made yet, the latest first. */
    List<SheetRow> open() {
        Map<Long, String> places = campsites.names();
        return plans.designed().stream()
                .map(plan -> of(places.get(plan.campsiteId), plan.name))
                .filter(sheet -> sheet.next() != null)
                .map(sheet -> new SheetRow(
                        sheet.campsite(),
                        sheet.trial(),
                        sheet.countDone(),
                        sheet.visits().size()))
                .toList();
    }

    /**
     * The run sheet of a trial.
     *
     * @throws NotFoundException when it was not designed
     */
    SheetView of(String campsite, String trial) {
        OpenSheet open = open(campsite, trial);
        Remaining remaining = open.remaining();
        Integer next = remaining.next().orElse(null);
        double minutes = remainingMinutes(remaining, open.design::minutes);
        double gb = remainingMinutes(remaining, open.design::gb);
        TrialPlan plan = open.plan;
        return new SheetView(
                campsite,
                trial,
                plan.plannedRounds,
                plan.runs,
                plan.kind,
                open.design.contenders(),
                open.design.views(),
                remaining.runsMade(),
                List.copyOf(remaining.skippedVisits()),
                next,
                OffsetDateTime.now(clock),
                next == null ? null : open.entries.stoodAt(next).orElse(null),
                minutes,
                gb,
                open.design.minutesOfRun(),
                Designs.sessions(plan.plannedRounds, plan.times(), plan.plannedAt.toLocalDateTime()),
                open.entries.pausedAt().orElse(null),
                open.entries.notes(),
                open.last(),
                doubts(open),
                next == null ? null : goingOn(open, minutes, gb));
    }

    private OpenSheet open(String campsite, String trial) {
        TrialPlan plan = plan(campsite, trial);
        OpenSheet planned = new OpenSheet(plan, designs.redesign(plan), loggedRuns(plan), entries.of(plan.id));
        return new OpenSheet(
                plan,
                planned.design.onFrom(states.currentState(), planned.remaining()),
                planned.loggedRuns,
                planned.entries);
    }

    private TrialPlan plan(String campsite, String trial) {
        return plans.designed(campsites.of(campsite).id(), trial)
                .orElseThrow(() -> new NotFoundException(
                        "no trial that was designed is named " + Text.quote(trial) + " at " + campsite));
    }

    private List<LoggedMeasurement> loggedRuns(TrialPlan plan) {
        return measurements.list(Selection.at(plan.campsiteId).ofTrial(plan.name));
    }

    /** What was logged and does not agree with what was to be measured, less what is kept all the same. */
    private List<SheetView.DoubtView> doubts(OpenSheet open) {
        Map<Long, List<String>> against = against(open.loggedRuns);
        List<SheetView.DoubtView> doubts = new ArrayList<>();
        for (LoggedMeasurement m : open.loggedRuns) {
            int place = open.contender(m);
            if (place < 0
                    || m.round() == null
                    || open.entries.keptMeasurements().contains(m.id())) {
                continue;
            }
            // what was said of the carrier is how it was logged; which cell it was is asked before it is measured
            Doubts.DeviceReading read = new Doubts.DeviceReading("", text(m.rat()), text(m.band()), "");
            List<String> says = new ArrayList<>(Doubts.of(open.design.entrants().get(place), read, List.of()));
            says.addAll(against.getOrDefault(m.id(), List.of()));
            if (!says.isEmpty()) {
                doubts.add(new SheetView.DoubtView(m.id(), m.round(), m.setup(), says));
            }
        }
        return doubts;
    }

    private Map<Long, List<String>> against(List<LoggedMeasurement> logged) {
        return runs.against(logged.stream().map(LoggedMeasurement::id).toList()).stream()
                .collect(Collectors.groupingBy(
                        LoggedRuns.Against::measurement,
                        Collectors.mapping(LoggedRuns.Against::says, Collectors.toList())));
    }

    private static String text(@Nullable String text) {
        return text == null ? "" : text;
    }

    /** Holds what the router says now against what is to be measured next. */
    SheetCheck check(String campsite, String trial) {
        OpenSheet open = open(campsite, trial);
        Optional<Watch.ServingNetwork> heard = watch.servingNetwork();
        Optional<Integer> next = open.remaining().next();
        if (heard.isEmpty() || next.isEmpty()) {
            return new SheetCheck(heard.isPresent(), List.of());
        }
        int place = open.design.visits().get(next.get()).contender();
        Contender contender = open.design.entrants().get(place);
        Watch.ServingNetwork said = heard.get();
        return new SheetCheck(
                true,
                Doubts.of(
                        contender,
                        new Doubts.DeviceReading(said.carrier(), said.mode(), said.band(), said.cell()),
                        open.cells(place)));
    }

    /** Where anything of a sheet changed, this did. */
    SheetMark mark(String campsite, String trial) {
        TrialPlan plan = plan(campsite, trial);
        Measurements.Extent extent = measurements.extent(plan.campsiteId, plan.name);
        return new SheetMark(
                entries.mark(plan.id) + "-" + extent.count() + "." + extent.last() + "-" + runs.mark(campsite, trial));
    }

    /** Whether the rounds left are worth it; null under three rounds of any two. */
    @Nullable
    private String goingOn(OpenSheet open, double minutes, double gb) {
        PastTrials.Key key = new PastTrials.Key(open.plan.campsiteId, open.plan.name);
        PastTrials.Reading trials = pastTrials.read();
        if (trials.measurements(key).isEmpty()) {
            return null;
        }
        SetupComparison compared = results.compare(key, trials, needs.chosenNeeds(), SAID);
        if (compared.contrasts().isEmpty()) {
            return null;
        }
        Comparison leading = compared.leading().get(0);
        return leading.rounds().size() < InterimLooks.FEWEST ? null : GoingOn.sentence(leading, minutes, gb);
    }

    /**
     * Enters something on a sheet.
     *
     * @throws InvalidInputException when there is no such visit or measurement, or a note says nothing
     */
    @Transactional
    SheetView enter(EntryRequest asked) {
        String campsite = require("campsite", asked.campsite());
        String trial = require("trial", asked.trial());
        SheetEntry.Kind kind =
                InvalidInputException.naming("kind", () -> SheetEntry.Kind.fromLabel(require("kind", asked.kind())));
        OpenSheet open = open(campsite, trial);
        switch (kind) {
            case STANDS, BACK, SKIP, UNSKIP ->
                visit(asked.visit(), open.design.visits().size());
            case KEEP -> measurement(asked.measurement(), open.loggedRuns);
            case NOTE ->
                InvalidInputException.naming("text", () -> Text.name("text", text(asked.text()), LONGEST_NOTE));
            case PAUSE, RESUME -> {}
        }
        boolean isNew = entries.enter(open.plan, kind, asked.visit(), asked.measurement(), asked.text());
        if (isNew && kind == SheetEntry.Kind.STANDS) {
            Visit visit = open.design.visits().get(asked.visit());
            open.loggedRuns.stream()
                    .map(LoggedMeasurement::takenAt)
                    .max(OffsetDateTime::compareTo)
                    .ifPresent(before -> entries.learn(open.plan, visit.moves(), before));
            states.isUp(open.design.entrants().get(visit.contender()).arrangement());
        }
        if (isNew && kind == SheetEntry.Kind.BACK) {
            states.isNotUp();
        }
        return of(campsite, trial);
    }

    private static String require(String field, @Nullable String text) {
        if (text == null) {
            throw new InvalidInputException(field, field + " is missing");
        }
        return text;
    }

    private static void visit(@Nullable Integer visit, int visits) {
        if (visit == null || visit < 0 || visit >= visits) {
            throw new InvalidInputException("visit", "visit is " + visit + "; allowed are 0 to " + (visits - 1));
        }
    }

    private static void measurement(@Nullable Long measurement, List<LoggedMeasurement> logged) {
        if (measurement == null || logged.stream().noneMatch(m -> m.id() == measurement)) {
            throw new InvalidInputException(
                    "measurement", "measurement is " + measurement + ", which is not of this trial");
        }
    }

    /** What to measure next in a designed trial; empty where it was not designed, or all of it is made. */
    Optional<NextStep> next(String campsite, String trial) {
        return plans.designed(campsites.of(campsite).id(), trial)
                .map(plan -> of(campsite, trial))
                .filter(sheet -> sheet.next() != null)
                .map(sheet -> sheet.visits().get(sheet.next()).step(sheet.contenders()));
    }

    /** What the visits that lack runs take, by visit and the number of runs that it lacks. */
    private static double remainingMinutes(Remaining remaining, ToDoubleBiFunction<Integer, Integer> takes) {
        List<Visit> visits = remaining.visits();
        return IntStream.range(0, visits.size())
                .filter(remaining::lacks)
                .mapToDouble(i -> takes.applyAsDouble(
                        i, remaining.runs() - remaining.runsMade().get(i)))
                .sum();
    }
}
