package syntoma.app.choice;

import static syntoma.app.platform.Optionals.boxed;
import static syntoma.app.platform.Optionals.optional;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.gear.GearItem;
import syntoma.app.gear.GearKind;
import syntoma.app.need.Vehicles;
import syntoma.app.platform.CompleteCollections;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.NotFoundException;
import syntoma.app.setup.ChainPlan;
import syntoma.app.setup.FitService;
import syntoma.app.setup.SetupService;
import syntoma.app.setup.SetupView;
import syntoma.core.choice.Candidate;
import syntoma.core.choice.ChoiceLimits;
import syntoma.core.choice.Option;
import syntoma.core.choice.Ranking;
import syntoma.core.choice.Side;
import syntoma.core.choice.Weights;
import syntoma.core.fit.AimingNeeded;
import syntoma.core.fit.FitCase;
import syntoma.core.unit.Labels;

/** Two to six devices, antennas or whole setups side by side on what matters for the need. */
@Service
@Transactional(readOnly = true)
class CandidateService {
    private static final int FEWEST = 2;
    private static final int MOST = 6;
    private static final String SETUPS = "setups";
    private static final String[] KINDS = {SETUPS, GearKind.DEVICE.label(), GearKind.ANTENNA.label()};

    private final SetupService setups;
    private final FitService fits;
    private final Vehicles vehicles;

    CandidateService(SetupService setups, FitService fits, Vehicles vehicles) {
        this.setups = setups;
        this.fits = fits;
        this.vehicles = vehicles;
    }

    /**
     * What to compare.
     *
     * @param what setups, device or antenna
     * @param base the setup whose device or antenna is exchanged
     * @param ids numbers of setups or of gear
     */
    record CandidatesRequest(String what, @Nullable Long base, List<Long> ids, @Nullable WeightsView weights) {}

    /** How much each side counts, 0 to 10. */
    record WeightsView(double gain, double bands, double streams, double price, double energy) {}

    /** Something that cannot be done without: yes, no or unknown. */
    record EssentialView(String what, String met) {}

    /** Predicted ΔRSRP on a band; null where it is not known or the band does not get through. */
    record GainView(String band, String result, @Nullable Double deltaDb, double halfWidthDb) {}

    /** One candidate. @param aiming the work of aiming it and what is lost off target; null where it hears all round */
    record CandidateView(
            long id,
            String name,
            String summary,
            List<EssentialView> essentials,
            boolean meetsNeed,
            int bandsWorking,
            int bands,
            @Nullable Integer streams,
            List<GainView> gains,
            @Nullable Double meanGainDb,
            String price,
            boolean priceOpen,
            @Nullable Double pricePerDb,
            @Nullable Double pricePerStream,
            @Nullable Double whPerDay,
            @Nullable String aiming,
            List<SetupView.BuyView> toBuy,
            double score,
            int place,
            String reason) {}

    /** What candidates are judged by, by the name of its weight. */
    record SideView(String key, String label) {}

    /** Candidates side by side, the best first. */
    record CandidatesView(
            List<CandidateView> candidates,
            WeightsView weights,
            List<SideView> sides,
            @Nullable String cheapest,
            @Nullable String strongest,
            String nextUnits,
            String flip,
            String sentence) {}

    CandidatesView compare(CandidatesRequest request) {
        List<Long> ids = check(CompleteCollections.list("ids", request.ids()));
        WeightsView w = request.weights();
        Weights weights = w == null
                ? Weights.USUAL
                : InvalidInputException.naming(
                        "weights", () -> new Weights(w.gain(), w.bands(), w.streams(), w.price(), w.energy()));
        Optional<Double> budget = vehicles.budget();
        List<Candidate> judged = judge(request, ids, optional(budget.orElse(null)));
        Ranking ranking =
                Ranking.of(judged.stream().map(Candidate::option).toList(), weights, optional(budget.orElse(null)));
        return new CandidatesView(
                ranking.order().stream()
                        .map(i -> view(ids.get(i), judged.get(i), ranking, i))
                        .toList(),
                new WeightsView(weights.gain(), weights.bands(), weights.streams(), weights.price(), weights.energy()),
                Arrays.stream(Side.values())
                        .map(side -> new SideView(side.key(), side.label()))
                        .toList(),
                ranking.cheapest().map(Option::name).orElse(null),
                ranking.strongest().map(Option::name).orElse(null),
                ranking.nextUnits(),
                ranking.flip(),
                ranking.sentence());
    }

    private static List<Long> check(List<Long> ids) {
        if (ids.size() < FEWEST || ids.size() > MOST || Set.copyOf(ids).size() != ids.size()) {
            throw new InvalidInputException(
                    "ids", "there are " + ids.size() + " candidates; allowed are 2 to 6, each once");
        }
        return ids;
    }

    /** All of them on one ground, which is read once. */
    private List<Candidate> judge(CandidatesRequest request, List<Long> ids, OptionalDouble budget) {
        InvalidInputException.naming(
                "what", () -> Labels.find("what", Objects.requireNonNullElse(request.what(), ""), KINDS, kind -> kind));
        FitService.Ground ground = fits.ground();
        Map<Long, SetupService.PlannedSetup> plans = setups.plans();
        ChoiceLimits wanted = new ChoiceLimits(budget, ground.hoursADay());
        return ids.stream()
                .map(id -> {
                    NamedPlan named = SETUPS.equals(request.what())
                            ? NamedPlan.of(requirePlan(plans, id))
                            : exchanged(request, id, plans, ground.shelf());
                    FitCase fit = FitService.fit(named.plan(), ground);
                    return Candidate.of(named.name(), fit, FitService.toBuy(named.plan(), ground.shelf()), wanted);
                })
                .toList();
    }

    private record NamedPlan(String name, ChainPlan plan) {
        static NamedPlan of(SetupService.PlannedSetup setup) {
            return new NamedPlan(setup.setup().name(), setup.plan());
        }
    }

    private static SetupService.PlannedSetup requirePlan(Map<Long, SetupService.PlannedSetup> plans, long id) {
        return Optional.ofNullable(plans.get(id))
                .orElseThrow(() -> new NotFoundException("no setup has the number " + id));
    }

    private static NamedPlan exchanged(
            CandidatesRequest request, long id, Map<Long, SetupService.PlannedSetup> plans, Map<Long, GearItem> shelf) {
        GearItem item = shelf.get(id);
        if (item == null || !item.kind().equals(request.what())) {
            throw new InvalidInputException(
                    "ids", "number " + id + " is no " + request.what() + "; allowed is what is on the shelf");
        }
        ChainPlan base = request.base() == null
                ? ChainPlan.EMPTY
                : requirePlan(plans, request.base()).plan();
        return new NamedPlan(item.name(), item.is() == GearKind.DEVICE ? base.withDevice(id) : base.withAntenna(id));
    }

    private static CandidateView view(long id, Candidate candidate, Ranking ranking, int number) {
        Option o = candidate.option();
        return new CandidateView(
                id,
                o.name(),
                candidate.fit().chain().summary(),
                o.essentials().stream()
                        .map(m -> new EssentialView(m.name(), m.met().label()))
                        .toList(),
                o.meetsNeed(),
                o.bandsWorking(),
                candidate.fit().bands().size(),
                o.streams().isPresent() ? o.streams().getAsInt() : null,
                candidate.gains().stream()
                        .map(g -> new GainView(
                                g.coverage().band().name(),
                                g.coverage().result().label(),
                                boxed(g.deltaDb()),
                                g.halfWidthDb()))
                        .toList(),
                boxed(o.meanGainDb()),
                o.price().words(),
                o.price().isOpen(),
                boxed(o.pricePerDb()),
                boxed(o.pricePerStream()),
                boxed(o.whPerDay()),
                AimingNeeded.of(candidate.fit().chain()).orElse(null),
                candidate.toBuy().stream()
                        .map(b -> new SetupView.BuyView(b.item(), b.pieces(), boxed(b.price()), b.isEstimated()))
                        .toList(),
                ranking.scores().get(number),
                ranking.places().get(number),
                ranking.reason(number));
    }
}
