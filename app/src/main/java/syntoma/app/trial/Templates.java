package syntoma.app.trial;

import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.StandingService;
import syntoma.app.campsite.StandingService.StandingLine;
import syntoma.app.gear.Cards;
import syntoma.app.need.Carriers;
import syntoma.app.setup.FitService;
import syntoma.app.setup.SetupName;
import syntoma.app.setup.SetupService;
import syntoma.core.band.Coverage;
import syntoma.core.design.Contender;
import syntoma.core.design.Order;
import syntoma.core.design.Template;
import syntoma.core.fit.FitCase;

/** Trials that are made again and again, filled in from what is on board. */
@Service
@Transactional(readOnly = true)
class Templates {
    private final SetupService chains;
    private final FitService fits;
    private final Carriers carriers;
    private final StandingService standing;
    private final Cards cards;
    private final Random random = new Random();

    Templates(SetupService chains, FitService fits, Carriers carriers, StandingService standing, Cards cards) {
        this.chains = chains;
        this.fits = fits;
        this.carriers = carriers;
        this.standing = standing;
        this.cards = cards;
    }

    /**
     * A trial filled in.
     *
     * @param lacking why it cannot be made, and what would do; null where it can
     * @param seed from which its order is drawn, where that matters; null where any will do
     */
    record TemplateView(
            String key,
            String label,
            String question,
            List<DesignRequest.ContenderRequest> contenders,
            @Nullable String lacking,
            List<String> notes,
            List<String> spread,
            @Nullable Integer seed) {}

    /** What may be changed about a setup while it is tried. */
    List<TemplateView> all() {
        StandingLine line = standing.line();
        String carrier = line.carrier() == null ? "" : line.carrier();
        FitService.Ground ground = fits.ground();
        Collection<SetupService.PlannedSetup> planned = chains.plans().values();
        Map<String, FitCase> cases = planned.stream()
                .filter(p -> !p.setup().retired() && p.plan().device() != null)
                .collect(Collectors.toMap(p -> p.setup().name(), p -> FitService.fit(p.plan(), ground)));
        List<Contender> setups = planned.stream()
                .map(SetupService.PlannedSetup::setup)
                .filter(setup -> !setup.retired())
                .sorted(Comparator.comparing((SetupName s) -> !s.equals(line.setup()))
                        .thenComparing(SetupName::id))
                .map(setup -> contender(setup.name(), carrier, cases))
                .toList();
        Template.Board board = new Template.Board(
                setups, onBoard(), c -> bands(cases.get(c.setup())), c -> needsPlane(cases.get(c.setup())));
        return Arrays.stream(Template.values())
                .map(template -> view(template, template.propose(board)))
                .toList();
    }

    /** The carriers of the SIMs on board; where no SIM was ever entered, those that were measured. */
    private List<String> onBoard() {
        Set<String> sims = cards.byCarrier().keySet();
        return List.copyOf(sims.isEmpty() ? carriers.names().values() : sims);
    }

    private static boolean needsPlane(@Nullable FitCase fit) {
        return fit != null
                && fit.chain().antennas().stream()
                        .anyMatch(run -> run.antenna().groundPlaneCm2().orElse(0) > 0);
    }

    private static Contender contender(String setup, String carrier, Map<String, FitCase> cases) {
        FitCase fit = cases.get(setup);
        return fit == null ? Contender.ofName(setup, carrier) : Contender.of(setup, carrier, fit.chain());
    }

    private static List<String> bands(@Nullable FitCase fit) {
        return fit == null
                ? List.of()
                : fit.reach().bands().stream()
                        .filter(Coverage::works)
                        .map(c -> c.band().name())
                        .toList();
    }

    private TemplateView view(Template template, Template.Proposal proposal) {
        int contenders = proposal.choices().size();
        Integer seed = proposal.isBaselineFirst()
                ? Integer.valueOf((int) Order.seedWithBaselineFirst(contenders, random.nextInt(1_000_000)))
                : null;
        return new TemplateView(
                template.label(),
                template.says(),
                template.question(),
                proposal.choices().stream()
                        .map(DesignRequest.ContenderRequest::of)
                        .toList(),
                proposal.lacking().orElse(null),
                proposal.notes(),
                proposal.times(),
                seed);
    }
}
