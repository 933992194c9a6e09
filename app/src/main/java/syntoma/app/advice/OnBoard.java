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
import syntoma.app.gear.Cards;
import syntoma.app.measurement.Measurements;
import syntoma.app.need.Carriers;
import syntoma.app.setup.ChainPlan;
import syntoma.app.setup.FitService;
import syntoma.app.setup.SetupName;
import syntoma.app.setup.SetupService;
import syntoma.app.setup.Setups;
import syntoma.app.trial.Pace;
import syntoma.core.advice.Option;
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
    private final Cards cards;

    OnBoard(
            Setups setups,
            SetupService chains,
            FitService fits,
            Carriers carriers,
            Measurements measurements,
            Pace pace,
            Cards cards) {
        this.setups = setups;
        this.chains = chains;
        this.fits = fits;
        this.carriers = carriers;
        this.measurements = measurements;
        this.pace = pace;
        this.cards = cards;
    }

    /** One of them. @param moves what hands have to do for it, in order */
    record Choice(SetupName setup, Option option, List<Move> moves) {}

    /** All that there is to choose from; a setup that cannot be built, or with which nothing was measured, is no choice. */
    List<Choice> choices(StandingLine line) {
        FitService.Ground ground = fits.ground();
        Map<Long, SetupService.Planned> plans = chains.plans();
        Map<String, Cards.Card> onBoard = cards.byCarrier();
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
                on.addAll(onBoard.keySet());
            }
            if (!onBoard.isEmpty() && hasChain) {
                on.retainAll(onBoard.keySet());
            }
            OptionalDouble promised = hasChain ? promised(planned.plan(), ground) : OptionalDouble.empty();
            for (String carrier : on) {
                Contender contender = contender(setup, carrier, planned, ground);
                List<Move> moves = up.map(u -> Standing.with(u))
                        .orElseGet(Standing::nothing)
                        .putUp(contender);
                Optional<Cards.Card> card = Optional.ofNullable(onBoard.get(carrier));
                choices.add(new Choice(
                        setup,
                        new Option(
                                setup.name(),
                                carrier,
                                promised,
                                moves.stream()
                                        .mapToDouble(m -> minutes.get(m.work()))
                                        .sum(),
                                card.map(Cards.Card::capMbps).orElse(OptionalDouble.empty()),
                                card.map(Cards.Card::pricePerGb)
                                        .orElse(OptionalDouble.empty())
                                        .orElse(0)),
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
