package syntoma.app.trial;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
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
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.app.need.Needs;
import syntoma.app.platform.InvalidInput;
import syntoma.app.platform.NotFound;
import syntoma.app.platform.Register;
import syntoma.app.setup.FitService;
import syntoma.app.setup.SetupName;
import syntoma.app.setup.SetupService;
import syntoma.app.setup.Setups;
import syntoma.core.design.Contender;
import syntoma.core.design.Move;
import syntoma.core.design.Noise;
import syntoma.core.design.Order;
import syntoma.core.design.Planner;
import syntoma.core.design.Question;
import syntoma.core.design.Visit;
import syntoma.core.design.Work;
import syntoma.core.fit.FitCase;
import syntoma.core.fit.FitCheck;
import syntoma.core.need.Threshold;
import syntoma.core.reading.Figure;
import syntoma.core.run.RunKind;
import syntoma.core.unit.Labels;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/** Designs trials: gathers what is known of the contenders, lets the core reckon. */
@Service
@Transactional(readOnly = true)
class Designs {
    /** What is asked for where nothing was said: the usual difference that is worth an evening. */
    private static final double USUAL_DIFFERENCE = 1.4;

    private final Setups setups;
    private final SetupService chains;
    private final FitService fits;
    private final StandingService standing;
    private final Needs needs;
    private final Expected expected;
    private final Random random = new Random();

    Designs(
            Setups setups,
            SetupService chains,
            FitService fits,
            StandingService standing,
            Needs needs,
            Expected expected) {
        this.setups = setups;
        this.chains = chains;
        this.fits = fits;
        this.standing = standing;
        this.needs = needs;
        this.expected = expected;
    }

    /** A contender as it was asked for, and as the core sees it. */
    private record Named(SetupName setup, @Nullable String carrier, Contender contender, List<String> warnings) {}

    /**
     * Designs a trial.
     *
     * @throws InvalidInput naming what is wrong with what was asked
     */
    DesignView design(DesignRequest asked) {
        Asked question = asked(asked, Optional.empty());
        Planner.Design design = Planner.design(question.question);
        return view(question, design);
    }

    /** A question with what it was made of. */
    private record Asked(Question question, List<Named> named, int seed, List<String> restsOn) {}

    /**
     * A trial that was designed before, with its visits as they are by now.
     *
     * @param minutesOfRun what one run takes
     * @param gbOfRun what one run of each contender takes
     */
    record Made(
            List<DesignView.ContenderView> contenders,
            List<Visit> visits,
            List<DesignView.VisitView> views,
            double minutesOfRun,
            List<Double> gbOfRun) {
        /** What the rest of a visit takes, with so many runs. */
        double minutes(int visit, int runs) {
            DesignView.VisitView view = views.get(visit);
            return view.minutes() + view.settleS() / 60.0 + runs * minutesOfRun;
        }

        /** What so many runs of a visit take of the plan. */
        double gb(int visit, int runs) {
            return runs * gbOfRun.get(views.get(visit).contender());
        }
    }

    /** A designed trial once more: its order is that of its seed. */
    Made again(DesignRequest asked, int rounds, int runs) {
        Asked question = asked(asked, Optional.of(Noise.USUAL));
        List<Visit> visits = Planner.effort(question.question, rounds, runs).visits();
        return new Made(
                contenders(question),
                visits,
                visits.stream().map(v -> visit(v, question.question)).toList(),
                question.question.kind().usualSeconds() / 60,
                question.question.rates().stream()
                        .map(rates -> rates.gbOfRun(question.question.kind()))
                        .toList());
    }

    private Asked asked(DesignRequest asked, Optional<Noise> known) {
        StandingLine line = standing.line();
        List<Named> named = named(asked, line);
        List<LoggedMeasurement> latest = expected.latest(
                named.stream().map(n -> n.setup.name()).distinct().toList());
        List<Question.Rates> rates = named.stream()
                .map(n -> Expected.rates(latest, n.setup.name(), n.carrier, line.campsite()))
                .toList();
        Figure metric = metric();
        Optional<Noise> own = known.or(() -> expected.noise(metric));
        int seed = asked.seed() == null ? random.nextInt(Integer.MAX_VALUE) : asked.seed();
        Question question = question(asked, named, rates, own.orElse(Noise.USUAL), line, seed);
        return new Asked(question, named, seed, restsOn(metric, own, question.noise(), rates, named));
    }

    /** The speed that the need asks for first. */
    private Figure metric() {
        return Threshold.askedFirst(List.of(Figure.UP_MBPS, Figure.DOWN_MBPS), needs.chosen())
                .get(0);
    }

    private List<Named> named(DesignRequest asked, StandingLine line) {
        List<DesignRequest.ContenderRequest> contenders = asked.contenders() == null ? List.of() : asked.contenders();
        if (contenders.size() > Question.MOST_CONTENDERS) {
            throw new InvalidInput(
                    "contenders",
                    "contenders are " + contenders.size() + "; allowed are 2 to " + Question.MOST_CONTENDERS);
        }
        Map<Long, SetupService.Planned> plans = chains.plans();
        FitService.Ground ground = fits.ground();
        return IntStream.range(0, contenders.size())
                .mapToObj(i -> named("contenders[" + i + "]", contenders.get(i), line, plans, ground))
                .toList();
    }

    private Named named(
            String field,
            @Nullable DesignRequest.ContenderRequest asked,
            StandingLine line,
            Map<Long, SetupService.Planned> plans,
            FitService.Ground ground) {
        if (asked == null || asked.setup() == null) {
            throw new InvalidInput(field + ".setup", field + ".setup is missing");
        }
        SetupName setup = setup(field + ".setup", asked.setup());
        String carrier = asked.carrier() == null
                ? line.carrier()
                : InvalidInput.naming(
                        field + ".carrier", () -> Text.name("carrier", asked.carrier(), Register.LONGEST_NAME));
        String on = carrier == null ? "" : carrier;
        SetupService.Planned plan = plans.get(setup.id());
        if (plan == null || plan.plan().device() == null) {
            return new Named(setup, carrier, Contender.named(setup.name(), on), List.of());
        }
        FitCase fit = FitService.fit(plan.plan(), ground);
        List<String> blockers = FitCheck.of(fit).blockers().stream()
                .map(b -> setup.name() + ": " + b.says())
                .toList();
        return new Named(setup, carrier, Contender.of(setup.name(), on, fit.chain()), blockers);
    }

    private SetupName setup(String field, String name) {
        try {
            return setups.of(name);
        } catch (NotFound none) {
            throw new InvalidInput(field, none.getMessage());
        }
    }

    private static Question question(
            DesignRequest asked,
            List<Named> named,
            List<Question.Rates> rates,
            Noise noise,
            StandingLine line,
            int seed) {
        RunKind kind = asked.kind() == null
                ? RunKind.LIGHT
                : InvalidInput.naming("kind", () -> RunKind.labelled(asked.kind()));
        Order order = asked.order() == null
                ? Order.TURNING
                : InvalidInput.naming("order", () -> Order.labelled(asked.order()));
        Question.Saving saving = asked.saving() == null
                ? Question.Saving.TIME
                : InvalidInput.naming(
                        "saving",
                        () -> Labels.find("saving", asked.saving(), Question.Saving.values(), Question.Saving::label));
        Optional<Contender> up = named.stream()
                .filter(n -> line.setup() != null
                        && n.setup.id() == line.setup().id()
                        && n.contender.carrier().equals(line.carrier()))
                .map(Named::contender)
                .findFirst();
        return byItsField(() -> new Question(
                named.stream().map(Named::contender).toList(),
                asked.difference() == null ? USUAL_DIFFERENCE : asked.difference(),
                noise,
                kind,
                rates,
                Work.usual(),
                up,
                order,
                seed,
                optional(asked.minutes()),
                optional(asked.gb()),
                saving));
    }

    /** What core refuses of a question begins with the name of what is wrong. */
    private static Question byItsField(Supplier<Question> question) {
        try {
            return question.get();
        } catch (IllegalArgumentException refused) {
            throw new InvalidInput(refused.getMessage().split(" ")[0], refused.getMessage());
        }
    }

    private static OptionalDouble optional(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    private static List<String> restsOn(
            Figure metric, Optional<Noise> own, Noise noise, List<Question.Rates> rates, List<Named> named) {
        List<String> said = new ArrayList<>();
        String share = Values.rounded(100 * (Math.exp(noise.ofRound(1)) - 1), 0);
        said.add(
                own.isPresent()
                        ? "In your own trials the ratio of two setups’ "
                                + metric.measure().phrase() + " scatters by about " + share + " % from round to round."
                        : "Your log has fewer than " + Noise.LEAST_ROUNDS
                                + " rounds; the ratio of two setups is taken to scatter by about " + share
                                + " % from round to round, as is usual.");
        List<String> unknown = IntStream.range(0, rates.size())
                .filter(i -> !rates.get(i).known())
                .mapToObj(i -> named.get(i).setup.name())
                .toList();
        if (!unknown.isEmpty()) {
            said.add("Not measured yet: " + String.join(", ", unknown)
                    + "; about 20 Mb/s down and 5 Mb/s up are taken for the data.");
        }
        return said;
    }

    private static DesignView view(Asked asked, Planner.Design design) {
        Question question = asked.question;
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
                design.seen(),
                design.fits(),
                design.enough(),
                design.advice(),
                asked.named.stream()
                        .flatMap(n -> n.warnings.stream())
                        .distinct()
                        .toList(),
                design.cannot(),
                asked.restsOn,
                asked.seed,
                design.effort().visits().stream().map(v -> visit(v, question)).toList());
    }

    private static List<DesignView.ContenderView> contenders(Asked asked) {
        return IntStream.range(0, asked.named.size())
                .mapToObj(i ->
                        contender(asked.named.get(i), asked.question.rates().get(i)))
                .toList();
    }

    private static DesignView.ContenderView contender(Named named, Question.Rates rates) {
        return new DesignView.ContenderView(
                named.setup, named.carrier, rates.downMbps(), rates.upMbps(), rates.known());
    }

    private static DesignView.VisitView visit(Visit visit, Question question) {
        return new DesignView.VisitView(
                visit.round(),
                visit.contender(),
                visit.moves().stream().map(Designs::move).toList(),
                visit.handsMinutes(question.work()),
                visit.settleS());
    }

    private static DesignView.MoveView move(Move move) {
        return new DesignView.MoveView(move.says(), move.caution().orElse(null));
    }
}
