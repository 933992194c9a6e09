package syntoma.app.trial;

import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.StandingService;
import syntoma.app.campsite.StandingService.StandingLine;
import syntoma.app.instrument.PlanUse;
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.app.need.Needs;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.setup.SetupName;
import syntoma.app.state.MoveView;
import syntoma.app.state.RigStates;
import syntoma.app.trial.Entrants.Entrant;
import syntoma.core.design.Contender;
import syntoma.core.design.Effort;
import syntoma.core.design.Noise;
import syntoma.core.design.Order;
import syntoma.core.design.Planner;
import syntoma.core.design.Question;
import syntoma.core.design.Remaining;
import syntoma.core.design.Sessions;
import syntoma.core.design.Visit;
import syntoma.core.need.Threshold;
import syntoma.core.reading.Figure;
import syntoma.core.run.RunKind;
import syntoma.core.state.RigState;
import syntoma.core.unit.Labels;
import syntoma.core.unit.Text;

/** Designs trials: gathers what is known of the contenders, lets the core calculate. */
@Service
@Transactional(readOnly = true)
class Designs {
    /** For a trial that was designed already, by which nothing is planned any more. */
    private static final Noise.Scatter UNASKED = new Noise.Scatter(Noise.USUAL, 0);

    private final Entrants entrants;
    private final PlanUse plans;
    private final StandingService standing;
    private final Needs needs;
    private final Pace pace;
    private final ExpectedRates expected;
    private final RigStates states;
    private final Random random = new Random();

    Designs(
            Entrants entrants,
            PlanUse plans,
            StandingService standing,
            Needs needs,
            Pace pace,
            ExpectedRates expected,
            RigStates states) {
        this.entrants = entrants;
        this.plans = plans;
        this.standing = standing;
        this.needs = needs;
        this.pace = pace;
        this.expected = expected;
        this.states = states;
    }

    /**
     * Designs a trial.
     *
     * @throws InvalidInputException naming what is wrong with what was asked
     */
    DesignView design(DesignRequest asked) {
        DesignBasis question = basis(asked);
        Planner.Design design = Planner.design(question.question);
        return view(question, design);
    }

    /** A question with what it was made of. */
    private record DesignBasis(
            Question question,
            List<Entrant> entrants,
            int seed,
            List<String> restsOn,
            List<LocalTime> sessionTimes,
            LocalDateTime now) {}

    /** A trial that was designed before, with its visits. */
    record DesignedTrial(List<DesignView.ContenderView> contenders, Question question, List<Visit> visits) {
        List<Contender> entrants() {
            return question.contenders();
        }

        /** With what hands do for the visits that are still to be made, from what is where now. */
        DesignedTrial onFrom(RigState now, Remaining remaining) {
            return new DesignedTrial(contenders, question, Planner.onFrom(now, question, remaining));
        }

        List<DesignView.VisitView> views() {
            return visits.stream().map(v -> visit(v, question)).toList();
        }

        /** What one run takes. */
        double minutesOfRun() {
            return question.kind().usualSeconds() / 60;
        }

        /** What the rest of a visit takes, with so many runs. */
        double minutes(int place, int runs) {
            Visit visit = visits.get(place);
            return visit.handsMinutes(question.work()) + visit.settleS() / 60.0 + runs * minutesOfRun();
        }

        /** What so many runs of a visit take of the plan. */
        double gb(int place, int runs) {
            return runs * question.rates().get(visits.get(place).contender()).gbOfRun(question.kind());
        }
    }

    /** A designed trial once more: its order is that of its seed. */
    DesignedTrial redesign(TrialPlan kept) {
        StandingLine line = standing.line();
        RigState start = kept.startState == null ? states.currentState() : states.read(kept.startState);
        DesignBasis question = basis(kept.request(), entrants.of(kept, line), line, Optional.of(UNASKED), start);
        return new DesignedTrial(
                contenders(question),
                question.question,
                Planner.effort(question.question, kept.plannedRounds, kept.runs).visits());
    }

    private DesignBasis basis(DesignRequest asked) {
        StandingLine line = standing.line();
        return basis(asked, entrants.of(asked, line), line, Optional.empty(), states.currentState());
    }

    private DesignBasis basis(
            DesignRequest asked,
            List<Entrant> named,
            StandingLine line,
            Optional<Noise.Scatter> known,
            RigState start) {
        List<LoggedMeasurement> latest =
                expected.latest(named.stream().map(Entrant::base).distinct().toList());
        List<Question.Rates> rates = named.stream()
                .map(n -> ExpectedRates.rates(latest, n.base(), n.carrier(), line.campsite()))
                .toList();
        Figure metric = metric();
        Noise.Scatter scatter = known.orElseGet(() -> expected.scatter(metric));
        int seed = asked.seed() == null ? random.nextInt(Integer.MAX_VALUE) : asked.seed();
        Question question = question(asked, named, rates, scatter.noise(), start, seed);
        List<String> rests = restsOn(metric, scatter, rates, named);
        question.unknownParts().ifPresent(rests::add);
        question.failures().ifPresent(rests::add);
        return new DesignBasis(
                question, named, seed, rests, times(asked), line.now().toLocalDateTime());
    }

    /** The speed that the need asks for first. */
    private Figure metric() {
        return Threshold.askedFirst(List.of(Figure.UP_MBPS, Figure.DOWN_MBPS), needs.chosenNeeds())
                .get(0);
    }

    private Question question(
            DesignRequest asked,
            List<Entrant> named,
            List<Question.Rates> rates,
            Noise noise,
            RigState start,
            int seed) {
        RunKind kind = asked.kind() == null
                ? RunKind.USUAL_OF_TRIAL
                : InvalidInputException.naming("kind", () -> RunKind.fromLabel(asked.kind()));
        Order order = asked.order() == null
                ? Order.USUAL
                : InvalidInputException.naming("order", () -> Order.fromLabel(asked.order()));
        Question.Saving saving = asked.saving() == null
                ? Question.Saving.USUAL
                : InvalidInputException.naming(
                        "saving",
                        () -> Labels.find("saving", asked.saving(), Question.Saving.values(), Question.Saving::label));
        return byItsField(() -> new Question(
                named.stream().map(Entrant::contender).toList(),
                asked.difference() == null ? Question.USUAL_DIFFERENCE : asked.difference(),
                noise,
                kind,
                rates,
                pace.minutes(),
                start,
                order,
                seed,
                optional(asked.minutes()),
                optional(asked.gb()),
                saving,
                Math.max(1, times(asked).size())));
    }

    /** The times of day over which it is spread; none where it is made at once. */
    private static List<LocalTime> times(DesignRequest asked) {
        List<String> spread = asked.spread() == null ? List.of() : asked.spread();
        return IntStream.range(0, spread.size())
                .mapToObj(i -> time("spread[" + i + "]", spread.get(i)))
                .distinct()
                .sorted()
                .toList();
    }

    private static LocalTime time(String field, @Nullable String text) {
        try {
            return LocalTime.parse(String.valueOf(text));
        } catch (DateTimeParseException e) {
            throw new InvalidInputException(
                    field, field + " is " + Text.quote(String.valueOf(text)) + "; allowed is a time such as 08:00");
        }
    }

    /** What core refuses of a question begins with the name of what is wrong. */
    private static Question byItsField(Supplier<Question> question) {
        try {
            return question.get();
        } catch (IllegalArgumentException refused) {
            throw new InvalidInputException(refused.getMessage().split(" ")[0], refused.getMessage());
        }
    }

    private static OptionalDouble optional(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    private static List<String> restsOn(
            Figure metric, Noise.Scatter scatter, List<Question.Rates> rates, List<Entrant> named) {
        List<String> said = new ArrayList<>();
        said.add(scatter.says(metric.measure().phrase()));
        List<String> unknown = IntStream.range(0, rates.size())
                .filter(i -> !rates.get(i).isKnown())
                .mapToObj(i -> named.get(i).base())
                .distinct()
                .toList();
        if (!unknown.isEmpty()) {
            said.add("Not measured yet: " + String.join(", ", unknown)
                    + "; the data estimate assumes about 20 Mb/s down and 5 Mb/s up.");
        }
        return said;
    }

    private DesignView view(DesignBasis asked, Planner.Design design) {
        Question question = asked.question;
        Effort effort = design.effort();
        List<DesignView.PlanLeft> left = question.contenders().stream()
                .map(Contender::carrier)
                .filter(carrier -> !carrier.isEmpty())
                .distinct()
                .map(carrier -> planLeft(carrier, effort.gbOn(carrier, question)))
                .toList();
        return new DesignView(
                design.sentence(question),
                contenders(asked),
                design.effort().rounds(),
                design.effort().runs(),
                question.kind().label(),
                design.effort().minutes(),
                design.effort().handsMinutes(),
                design.effort().gb(),
                design.chance(),
                design.smallestEffect(),
                design.fits(),
                design.isEnough(),
                design.advice(),
                asked.entrants.stream()
                        .flatMap(n -> n.warnings().stream())
                        .distinct()
                        .toList(),
                design.limits(),
                asked.restsOn,
                asked.seed,
                design.effort().visits().stream().map(v -> visit(v, question)).toList(),
                left,
                sessions(effort.rounds(), asked.sessionTimes, asked.now));
    }

    static List<DesignView.TimeOfDay> sessions(int rounds, List<LocalTime> spread, LocalDateTime now) {
        return spread.isEmpty()
                ? List.of()
                : Sessions.of(rounds, spread, now).stream()
                        .map(s -> new DesignView.TimeOfDay(s.at(), s.fromRound(), s.toRound()))
                        .toList();
    }

    private DesignView.PlanLeft planLeft(String carrier, double gb) {
        PlanUse.PlanUseView use = plans.of(carrier);
        Double left = use.allowanceGb() == null ? null : use.allowanceGb() - use.usedGb() - gb;
        return new DesignView.PlanLeft(carrier, gb, left);
    }

    /**
     * Keeps what a design changes about setups as setups of their own, so that they can be logged under their names.
     *
     * @return the names of the contenders, in their order
     */
    @Transactional
    public List<SetupName> settle(DesignRequest asked) {
        return entrants.settle(entrants.of(asked, standing.line()));
    }

    private static List<DesignView.ContenderView> contenders(DesignBasis asked) {
        return IntStream.range(0, asked.entrants.size())
                .mapToObj(i ->
                        contender(asked.entrants.get(i), asked.question.rates().get(i)))
                .toList();
    }

    private static DesignView.ContenderView contender(Entrant named, Question.Rates rates) {
        return new DesignView.ContenderView(
                named.setup(), named.carrier(), rates.downMbps(), rates.upMbps(), rates.isKnown());
    }

    private static DesignView.VisitView visit(Visit visit, Question question) {
        return new DesignView.VisitView(
                visit.round(),
                visit.contender(),
                visit.moves().stream().map(MoveView::of).toList(),
                visit.handsMinutes(question.work()),
                visit.settleS());
    }
}
