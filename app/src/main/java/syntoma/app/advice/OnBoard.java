package syntoma.app.advice;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import syntoma.app.campsite.StandingService.StandingLine;
import syntoma.app.gear.GearItem;
import syntoma.app.gear.GearKind;
import syntoma.app.gear.Parts;
import syntoma.app.measurement.Measurements;
import syntoma.app.need.Carriers;
import syntoma.app.setup.ChainPlan;
import syntoma.app.setup.FitService;
import syntoma.app.setup.SetupName;
import syntoma.app.setup.SetupService;
import syntoma.app.setup.Setups;
import syntoma.app.trial.Pace;
import syntoma.core.advice.Option;
import syntoma.core.chain.Sim;
import syntoma.core.chain.Staircase;
import syntoma.core.design.Contender;
import syntoma.core.design.Move;
import syntoma.core.design.Standing;
import syntoma.core.design.Work;
import syntoma.core.fit.FitCase;

/** Setups and SIMs that are on board, with the work that each takes from what stands now. */
@Component
class OnBoard {
    private final Setups setups;
    private final SetupService chains;
    private final FitService fits;
    private final Carriers carriers;
    private final Measurements measurements;
    private final Pace pace;

    OnBoard(
            Setups setups,
            SetupService chains,
            FitService fits,
            Carriers carriers,
            Measurements measurements,
            Pace pace) {
        this.setups = setups;
        this.chains = chains;
        this.fits = fits;
        this.carriers = carriers;
        this.measurements = measurements;
        this.pace = pace;
    }

    /** One of them. @param moves what hands have to do for it, in order */
    record Choice(SetupName setup, Option option, List<Move> moves) {}

    /** A card's carrier with what its plan lets through and what a GB of it costs. */
    private record Plan(OptionalDouble capMbps, double pricePerGb) {
        private static final Plan UNKNOWN = new Plan(OptionalDouble.empty(), 0);
    }

    /** All that there is to choose from; a setup that cannot be built, or with which nothing was measured, is no choice. */
    List<Choice> choices(StandingLine line) {
        FitService.Ground ground = fits.ground();
        Map<Long, SetupService.Planned> plans = chains.plans();
        Map<String, Plan> cards = cards(ground);
        Map<Long, Set<String>> measured = measured();
        Map<Work, Double> minutes = pace.minutes();
        Optional<Contender> up =
                Optional.ofNullable(line.setup()).map(s -> contender(s, line.carrier(), plans.get(s.id()), ground));
        List<Choice> choices = new ArrayList<>();
        for (SetupName setup : setups.all()) {
            if (setup.retired()) {
                continue;
            }
            SetupService.Planned planned = plans.get(setup.id());
            boolean hasChain = planned != null && planned.plan().device() != null;
            Set<String> on = new LinkedHashSet<>(measured.getOrDefault(setup.id(), Set.of()));
            if (hasChain) {
                on.addAll(cards.keySet());
            }
            if (!cards.isEmpty() && hasChain) {
                on.retainAll(cards.keySet());
            }
            OptionalDouble promised = hasChain ? promised(planned.plan(), ground) : OptionalDouble.empty();
            for (String carrier : on) {
                Contender contender = contender(setup, carrier, planned, ground);
                List<Move> moves = up.map(u -> Standing.with(u))
                        .orElseGet(Standing::nothing)
                        .putUp(contender);
                Plan plan = cards.getOrDefault(carrier, Plan.UNKNOWN);
                choices.add(new Choice(
                        setup,
                        new Option(
                                setup.name(),
                                carrier,
                                promised,
                                moves.stream()
                                        .mapToDouble(m -> minutes.get(m.work()))
                                        .sum(),
                                plan.capMbps,
                                plan.pricePerGb),
                        moves));
            }
        }
        return choices;
    }

    private static Contender contender(
            SetupName setup,
            @Nullable String carrier,
            @Nullable SetupService.Planned planned,
            FitService.Ground ground) {
        String on = carrier == null ? "" : carrier;
        ChainPlan plan = planned == null ? ChainPlan.EMPTY : planned.plan();
        return plan.device() == null
                ? Contender.named(setup.name(), on)
                : Contender.of(setup.name(), on, FitService.fit(plan, ground).chain());
    }

    private static Map<String, Plan> cards(FitService.Ground ground) {
        Map<String, Plan> cards = new HashMap<>();
        for (GearItem item : ground.shelf().values()) {
            if (item.is() == GearKind.SIM && item.owned()) {
                Sim sim = Parts.sim(item);
                if (!sim.carrier().isEmpty()) {
                    double price = item.price() == null || sim.allowanceGb().isEmpty()
                            ? 0
                            : item.price() / sim.allowanceGb().getAsDouble();
                    cards.putIfAbsent(sim.carrier(), new Plan(sim.capMbps(), price));
                }
            }
        }
        return cards;
    }

    private Map<Long, Set<String>> measured() {
        Map<Long, String> names = carriers.names();
        Map<Long, Set<String>> measured = new HashMap<>();
        measurements.pairs().forEach(p -> measured.computeIfAbsent(p.setup(), s -> new LinkedHashSet<>())
                .add(names.get(p.carrier())));
        return measured;
    }

    /** What the chain promises over an antenna without gain outside, over the bands that work. */
    private static OptionalDouble promised(ChainPlan plan, FitService.Ground ground) {
        FitCase fit = FitService.fit(plan, ground);
        return fit.reach().working().stream()
                .flatMap(band -> fit.staircase(band).stream())
                .map(Staircase::netDb)
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .average();
    }
}
