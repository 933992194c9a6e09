package syntoma.app.trial;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import syntoma.app.campsite.StandingService.StandingLine;
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.NotFoundException;
import syntoma.app.platform.Register;
import syntoma.app.setup.ChainPlan;
import syntoma.app.setup.FitService;
import syntoma.app.setup.SetupName;
import syntoma.app.setup.SetupService;
import syntoma.app.setup.Setups;
import syntoma.core.design.Contender;
import syntoma.core.design.Question;
import syntoma.core.design.Variation;
import syntoma.core.fit.FitCase;
import syntoma.core.fit.FitCheck;
import syntoma.core.unit.Text;

/** Who is in a trial: setups on carriers, some of them with one thing changed, as they were asked for and as the core sees them. */
@Component
class Entrants {
    private final Setups setups;
    private final SetupService chains;
    private final FitService fits;

    Entrants(Setups setups, SetupService chains, FitService fits) {
        this.setups = setups;
        this.chains = chains;
        this.fits = fits;
    }

    /**
     * One of them.
     *
     * @param setup of which it is, with the name under which it is tried
     * @param base the name of the setup that is changed; the same where nothing is
     * @param plan its chain with the change
     */
    record Entrant(
            SetupName setup,
            String base,
            @Nullable String carrier,
            Contender contender,
            List<String> warnings,
            @Nullable Variation variation,
            ChainPlan plan) {}

    /** What is known of all setups at one moment. */
    private record KnownSetups(
            Map<Long, SetupService.PlannedSetup> plans, FitService.Ground ground, @Nullable String carrier) {}

    /**
     * Those that a design asks for.
     *
     * @throws InvalidInputException naming the contender that cannot be
     */
    List<Entrant> of(DesignRequest asked, StandingLine line) {
        List<DesignRequest.ContenderRequest> contenders = asked.contenders() == null ? List.of() : asked.contenders();
        if (contenders.size() > Question.MOST_SCREENED) {
            throw new InvalidInputException(
                    "contenders",
                    "contenders are " + contenders.size() + "; allowed are 2 to " + Question.MOST_SCREENED);
        }
        KnownSetups known = knownSetups(line);
        return IntStream.range(0, contenders.size())
                .mapToObj(i -> entrant("contenders[" + i + "]", contenders.get(i), known))
                .toList();
    }

    private KnownSetups knownSetups(StandingLine line) {
        return new KnownSetups(chains.plans(), fits.ground(), line.carrier());
    }

    private Entrant entrant(String field, @Nullable DesignRequest.ContenderRequest asked, KnownSetups known) {
        if (asked == null || asked.setup() == null) {
            throw new InvalidInputException(field + ".setup", field + ".setup is missing");
        }
        SetupName setup = setup(field + ".setup", asked.setup());
        String carrier = asked.carrier() == null
                ? known.carrier
                : InvalidInputException.naming(
                        field + ".carrier", () -> Text.name("carrier", asked.carrier(), Register.LONGEST_NAME));
        Variation variation = asked.change() == null ? null : variation(field + ".change", asked.change());
        return entrant(setup, carrier, variation, known);
    }

    private static Variation variation(String field, DesignRequest.ChangeRequest asked) {
        return InvalidInputException.naming(field, () -> {
            if (asked.kind() == null || asked.value() == null) {
                throw new IllegalArgumentException("change needs a kind and a value");
            }
            return new Variation(Variation.Kind.fromLabel(asked.kind()), asked.value());
        });
    }

    private static Entrant entrant(
            SetupName setup, @Nullable String carrier, @Nullable Variation variation, KnownSetups known) {
        String name = variation == null ? setup.name() : setup.name() + ", " + variation.phrase();
        SetupService.PlannedSetup planned = known.plans.get(setup.id());
        ChainPlan base = planned == null ? ChainPlan.EMPTY : planned.plan();
        ChainPlan plan = variation == null ? base : base.varied(variation);
        SetupName called = new SetupName(setup.id(), name, setup.pennant(), setup.retired());
        return entrant(called, setup.name(), carrier, Optional.ofNullable(variation), plan, known.ground);
    }

    private static Entrant entrant(
            SetupName setup,
            String base,
            @Nullable String carrier,
            Optional<Variation> variation,
            ChainPlan plan,
            FitService.Ground ground) {
        String on = carrier == null ? "" : carrier;
        if (plan.device() == null) {
            Contender contender = varied(Contender.ofName(setup.name(), on), variation);
            return new Entrant(setup, base, carrier, contender, List.of(), variation.orElse(null), plan);
        }
        FitCase fit = FitService.fit(plan, ground);
        List<String> blockers = FitCheck.of(fit).blockers().stream()
                .map(b -> setup.name() + ": " + b.says())
                .toList();
        Contender contender = varied(Contender.of(setup.name(), on, fit.chain()), variation);
        return new Entrant(setup, base, carrier, contender, blockers, variation.orElse(null), plan);
    }

    private static Contender varied(Contender contender, Optional<Variation> variation) {
        return contender.arranged(variation.flatMap(v -> v.arranged(contender)));
    }

    /** The setups of a comparison by the names under which they stand in it. */
    Map<String, Contender> of(SetupComparison compared) {
        KnownSetups known = new KnownSetups(chains.plans(), fits.ground(), null);
        return compared.setups().stream()
                .collect(Collectors.toMap(
                        SetupName::name, s -> contender(s, carrier(s, compared), variation(s, compared), known)));
    }

    private static Contender contender(
            SetupName setup, @Nullable String carrier, Optional<Variation> variation, KnownSetups known) {
        SetupService.PlannedSetup planned = known.plans.get(setup.id());
        ChainPlan plan = planned == null ? ChainPlan.EMPTY : planned.plan();
        String name = planned == null ? setup.name() : planned.setup().name();
        SetupName own = new SetupName(setup.id(), name, setup.pennant(), setup.retired());
        return entrant(own, name, carrier, variation, plan, known.ground).contender();
    }

    /** What hands arrange for a setup, where the trial was designed so. */
    private static Optional<Variation> variation(SetupName setup, SetupComparison compared) {
        return compared.cast().plan().stream()
                .flatMap(plan -> plan.contenders.stream())
                .filter(c -> setup.name().equals(c.setup) || setup.name().equals(c.setup + " on " + c.carrier))
                .findFirst()
                .flatMap(TrialContender::variation);
    }

    @Nullable
    private static String carrier(SetupName setup, SetupComparison compared) {
        return compared.measurements().stream()
                .filter(m -> m.setup().equals(setup.name()))
                .map(LoggedMeasurement::carrier)
                .filter(Objects::nonNull)
                .findFirst()
                .orElse(null);
    }

    /** Those of a trial that was designed: a change stands in the chain of its setup by now, or is arranged. */
    List<Entrant> of(TrialPlan kept, StandingLine line) {
        KnownSetups known = knownSetups(line);
        return kept.contenders.stream()
                .map(c -> {
                    SetupName setup = setups.of(c.setup);
                    SetupService.PlannedSetup planned = known.plans.get(setup.id());
                    return entrant(
                            setup,
                            setup.name(),
                            c.carrier,
                            c.variation(),
                            planned == null ? ChainPlan.EMPTY : planned.plan(),
                            known.ground);
                })
                .toList();
    }

    /** Sees to it that each has a setup to be logged under: a change makes one of its own, with its chain. */
    List<SetupName> settle(List<Entrant> entrants) {
        return entrants.stream()
                .map(e -> e.variation == null ? e.setup : settle(e))
                .toList();
    }

    private SetupName settle(Entrant entrant) {
        long id = setups.number(entrant.setup.name());
        if (entrant.plan.device() != null) {
            chains.put(id, entrant.plan, null);
        }
        return setups.of(id);
    }

    private SetupName setup(String field, String name) {
        try {
            return setups.of(name);
        } catch (NotFoundException none) {
            throw new InvalidInputException(field, none.getMessage());
        }
    }
}
