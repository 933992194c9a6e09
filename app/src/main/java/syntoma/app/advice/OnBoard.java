package syntoma.app.advice;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import syntoma.app.gear.Cards;
import syntoma.app.setup.FitService;
import syntoma.app.setup.SetupName;
import syntoma.app.setup.SetupService;
import syntoma.app.setup.Setups;
import syntoma.app.state.RigStates;
import syntoma.app.trial.Pace;
import syntoma.core.advice.Option;
import syntoma.core.chain.Source;
import syntoma.core.chain.Staircase;
import syntoma.core.fit.FitCase;
import syntoma.core.fit.FitCheck;
import syntoma.core.state.Arrangement;
import syntoma.core.state.Move;
import syntoma.core.state.RigState;
import syntoma.core.state.Work;

/** Setups and SIMs that are on board, with the work that each takes from what stands now. */
@Component
class OnBoard {
    private final Setups setups;
    private final SetupService chains;
    private final FitService fits;
    private final Experiences experiences;
    private final Pace pace;
    private final Cards cards;
    private final RigStates states;

    OnBoard(
            Setups setups,
            SetupService chains,
            FitService fits,
            Experiences experiences,
            Pace pace,
            Cards cards,
            RigStates states) {
        this.setups = setups;
        this.chains = chains;
        this.fits = fits;
        this.experiences = experiences;
        this.pace = pace;
        this.cards = cards;
        this.states = states;
    }

    /** One of them. @param moves what hands have to do for it, in order */
    record Choice(SetupName setup, Option option, List<Move> moves) {}

    /**
     * All that there is to choose from. A setup that was never measured is one where all of it is on board and nothing keeps it from
     * working.
     */
    List<Choice> choices() {
        FitService.Ground ground = fits.ground();
        Map<Long, SetupService.PlannedSetup> plans = chains.plans();
        Map<String, Cards.Card> onBoard = cards.byCarrier();
        Set<String> gone = cards.goneCarriers();
        Map<String, Set<String>> measured = experiences.measuredOn();
        Map<Work, Double> minutes = pace.minutes();
        RigState now = states.currentState();
        List<Choice> choices = new ArrayList<>();
        for (SetupName setup : setups.all()) {
            Optional<FitCase> chain = chain(plans.get(setup.id()), ground);
            Set<String> on = new LinkedHashSet<>(measured.getOrDefault(setup.name(), Set.of()));
            if (setup.retired() || on.isEmpty() && !isReady(chain, plans.get(setup.id()), ground)) {
                continue;
            }
            if (chain.filter(OnBoard::needsSim).isPresent()) {
                on.addAll(onBoard.keySet());
            }
            on.removeAll(gone);
            OptionalDouble promised = chain.map(OnBoard::promisedGain).orElse(OptionalDouble.empty());
            for (String carrier : on) {
                Arrangement arrangement = arrangement(setup.name(), carrier, chain);
                if (!arrangement.isAllowed()) {
                    continue;
                }
                List<Move> moves = now.movesTo(arrangement);
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
                                card.map(Cards.Card::pricePerGb).orElse(OptionalDouble.empty())),
                        moves));
            }
        }
        return choices;
    }

    private static boolean isReady(
            Optional<FitCase> chain, @Nullable SetupService.PlannedSetup planned, FitService.Ground ground) {
        return chain.isPresent()
                && planned != null
                && FitService.toBuy(planned.plan(), ground.shelf()).isEmpty()
                && FitCheck.of(chain.get()).blockers().isEmpty();
    }

    /** Empty where nobody has said what the setup is made of. */
    private static Optional<FitCase> chain(@Nullable SetupService.PlannedSetup planned, FitService.Ground ground) {
        return Optional.ofNullable(planned)
                .map(SetupService.PlannedSetup::plan)
                .filter(plan -> plan.device() != null)
                .map(plan -> FitService.fit(plan, ground));
    }

    private static boolean needsSim(FitCase fit) {
        return fit.chain().settings().source() == Source.CELLULAR;
    }

    private static Arrangement arrangement(String setup, String carrier, Optional<FitCase> chain) {
        return chain.map(fit -> Arrangement.of(setup, carrier, fit.chain()))
                .orElseGet(() -> Arrangement.ofUnknown(setup, carrier));
    }

    /** What the chain promises over an antenna without gain outside, over the bands that work. */
    private static OptionalDouble promisedGain(FitCase fit) {
        return fit.reach().working().stream()
                .flatMap(band -> fit.staircase(band).stream())
                .map(Staircase::netDb)
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .average();
    }
}
