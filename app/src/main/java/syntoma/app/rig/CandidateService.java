package syntoma.app.rig;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.InvalidInput;
import syntoma.core.band.Band;
import syntoma.core.band.Coverage;
import syntoma.core.chain.Device;
import syntoma.core.chain.PowerInput;
import syntoma.core.chain.Staircase;
import syntoma.core.choice.Option;
import syntoma.core.choice.Option.Essential;
import syntoma.core.choice.Option.Met;
import syntoma.core.choice.Ranking;
import syntoma.core.choice.Weights;
import syntoma.core.fit.FitCase;
import syntoma.core.fit.FitCheck;
import syntoma.core.fit.FitFinding;
import syntoma.core.fit.Severity;
import syntoma.core.power.Supply;
import syntoma.core.unit.Values;

/** Two to six devices, antennas or whole setups side by side on what matters for the need. */
@Service
@Transactional(readOnly = true)
class CandidateService {
    private static final int FEWEST = 2;
    private static final int MOST = 6;
    /** About what a stabiliser costs, in units of money. */
    private static final double STABILISER_PRICE = 45;

    private final SetupService setups;
    private final FitService fits;
    private final WishService wishes;

    CandidateService(SetupService setups, FitService fits, WishService wishes) {
        this.setups = setups;
        this.fits = fits;
        this.wishes = wishes;
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

    /** Something to buy with it; the price is null where it is not known. */
    record BuyView(String what, @Nullable Double price) {}

    /** Something that cannot be done without: yes, no or unknown. */
    record EssentialView(String what, String met) {}

    /** Predicted ΔRSRP on a band; null where it is not known or the band does not get through. */
    record GainView(String band, String result, @Nullable Double deltaDb, double halfWidthDb) {}

    /** One candidate. */
    record CandidateView(
            long id,
            String name,
            String summary,
            List<EssentialView> essentials,
            boolean meetsNeed,
            int bandsWorking,
            int bands,
            int streams,
            List<GainView> gains,
            @Nullable Double meanGainDb,
            @Nullable Double price,
            @Nullable Double pricePerDb,
            @Nullable Double pricePerStream,
            @Nullable Double whPerDay,
            List<BuyView> toBuy,
            double score,
            int rank) {}

    /** Candidates side by side. */
    record CandidatesView(
            List<CandidateView> candidates,
            WeightsView weights,
            @Nullable String cheapest,
            @Nullable String strongest,
            String nextUnits,
            String flip,
            String sentence) {}

    private record Judged(long id, Option option, FitCase fit, List<GainView> gains, List<BuyView> toBuy) {}

    CandidatesView compare(CandidatesRequest request) {
        List<Long> ids = request.ids() == null ? List.of() : request.ids();
        if (ids.stream().anyMatch(Objects::isNull)) {
            throw new InvalidInput(
                    "ids[" + ids.indexOf(null) + "]", "a number is missing; allowed are 2 to 6, each once");
        }
        if (ids.size() < FEWEST || ids.size() > MOST || Set.copyOf(ids).size() != ids.size()) {
            throw new InvalidInput("ids", "there are " + ids.size() + " candidates; allowed are 2 to 6, each once");
        }
        WeightsView w = request.weights();
        Weights weights = w == null
                ? Weights.USUAL
                : InvalidInput.naming(
                        "weights", () -> new Weights(w.gain(), w.bands(), w.streams(), w.price(), w.energy()));
        FitService.Ground ground = fits.ground(Optional.empty(), Optional.empty());
        List<Judged> judged = ids.stream().map(id -> judge(request, id, ground)).toList();
        Ranking ranking = Ranking.of(judged.stream().map(Judged::option).toList(), weights);
        List<CandidateView> views = new ArrayList<>();
        for (int i = 0; i < judged.size(); i++) {
            views.add(
                    view(judged.get(i), ranking.scores().get(i), ranking.order().indexOf(i) + 1));
        }
        String first = judged.get(ranking.order().get(0)).option().name();
        return new CandidatesView(
                views,
                new WeightsView(weights.gain(), weights.bands(), weights.streams(), weights.price(), weights.energy()),
                ranking.cheapest().map(Option::name).orElse(null),
                ranking.strongest().map(Option::name).orElse(null),
                ranking.nextUnits(),
                ranking.flip(),
                sentence(ranking, first));
    }

    private static String sentence(Ranking ranking, String first) {
        String cheapest = ranking.cheapest().map(Option::name).orElse("");
        String strongest = ranking.strongest().map(Option::name).orElse("");
        String head = cheapest.isEmpty()
                ? "None of them is known to meet the need"
                : cheapest + " is the cheapest that meets the need";
        String tail = strongest.isEmpty()
                ? ""
                : strongest.equals(cheapest) ? " and the strongest" : "; " + strongest + " is the strongest";
        return head + tail + ". With these weights " + first + " comes first.";
    }

    private Judged judge(CandidatesRequest request, long id, FitService.Ground ground) {
        Map<Long, GearItem> shelf = ground.shelf();
        ChainPlan plan;
        String name;
        if ("setups".equals(request.what())) {
            plan = setups.plan(id);
            name = setups.named(id).name();
        } else {
            GearItem item = shelf.get(id);
            if (item == null || !item.kind().equals(request.what())) {
                throw new InvalidInput(
                        "ids", "number " + id + " is no " + request.what() + "; allowed is what is on the shelf");
            }
            ChainPlan base = request.base() == null ? ChainPlan.EMPTY : setups.plan(request.base());
            plan = item.is() == GearKind.DEVICE ? base.withDevice(id) : base.withAntenna(id);
            name = item.name();
        }
        FitCase fit = FitService.fit(plan, Optional.empty(), ground);
        List<FitFinding> findings = FitCheck.of(fit);
        List<GainView> gains = new ArrayList<>();
        List<Double> known = new ArrayList<>();
        for (Coverage coverage : fit.coverage()) {
            gains.add(gain(fit, coverage, known));
        }
        List<BuyView> toBuy = toBuy(plan, findings, shelf);
        OptionalDouble price = price(plan, toBuy, shelf);
        Option option = new Option(
                name,
                essentials(fit, findings, price),
                (int) fit.coverage().stream()
                        .filter(c -> c.result() == Coverage.Result.WORKS)
                        .count(),
                fit.streams(),
                known.stream().mapToDouble(g -> g).average(),
                price,
                whPerDay(fit));
        return new Judged(id, option, fit, gains, toBuy);
    }

    private static GainView gain(FitCase fit, Coverage coverage, List<Double> known) {
        Band band = coverage.band();
        Staircase stairs = Staircase.of(fit.chain(), fit.wiring(), FitService.mhz(band));
        boolean through =
                coverage.result() == Coverage.Result.WORKS && stairs.deltaDb().isPresent();
        if (through) {
            known.add(stairs.deltaDb().getAsDouble());
        }
        return new GainView(
                band.name(),
                coverage.result().label(),
                through ? stairs.deltaDb().getAsDouble() : null,
                stairs.halfWidthDb());
    }

    private static List<BuyView> toBuy(ChainPlan plan, List<FitFinding> findings, Map<Long, GearItem> shelf) {
        List<BuyView> toBuy = new ArrayList<>();
        plan.gear().stream()
                .distinct()
                .map(shelf::get)
                .filter(g -> g.state().equals(GearService.CONSIDERED))
                .forEach(g -> toBuy.add(new BuyView(g.name(), g.price())));
        for (FitFinding finding : findings) {
            if (finding.code().equals("adapter-needed")) {
                toBuy.add(new BuyView(
                        finding.fix(),
                        finding.price().isPresent() ? finding.price().getAsDouble() : null));
            } else if (finding.code().equals("supply-range") && finding.severity() == Severity.CAUTION) {
                toBuy.add(new BuyView("12 V stabiliser, about", STABILISER_PRICE));
            }
        }
        return toBuy;
    }

    /** The sum of what is to be bought; empty when a part on the shelf has no price. Parts owned cost nothing more. */
    private static OptionalDouble price(ChainPlan plan, List<BuyView> toBuy, Map<Long, GearItem> shelf) {
        boolean unpriced = plan.gear().stream()
                .map(shelf::get)
                .anyMatch(g -> g.state().equals(GearService.CONSIDERED) && g.price() == null);
        return unpriced
                ? OptionalDouble.empty()
                : OptionalDouble.of(toBuy.stream()
                        .filter(b -> b.price() != null)
                        .mapToDouble(BuyView::price)
                        .sum());
    }

    private List<Essential> essentials(FitCase fit, List<FitFinding> findings, OptionalDouble price) {
        List<Essential> essentials = new ArrayList<>();
        boolean blocked = findings.stream().anyMatch(f -> f.severity() == Severity.BLOCKER);
        essentials.add(new Essential("nothing in its way", blocked ? Met.NO : Met.YES));
        List<Coverage> coverage = fit.coverage();
        if (!coverage.isEmpty()) {
            boolean works = coverage.stream().anyMatch(c -> c.result() == Coverage.Result.WORKS);
            boolean open = coverage.stream().anyMatch(c -> c.result() == Coverage.Result.UNKNOWN);
            essentials.add(new Essential(
                    "a band of " + fit.carrier() + " works", works ? Met.YES : open ? Met.UNKNOWN : Met.NO));
        }
        Optional<Device> device = fit.chain().device();
        Double down = wishes.requirement().downMbps();
        if (down != null) {
            OptionalDouble most = device.map(Device::downMaxMbps).orElse(OptionalDouble.empty());
            essentials.add(new Essential(
                    "modem for " + Values.plain(Math.round(down * 10) / 10.0) + " Mb/s down",
                    most.isEmpty() ? Met.UNKNOWN : most.getAsDouble() >= down ? Met.YES : Met.NO));
        }
        for (String feature : wishes.features()) {
            Set<String> has = device.map(Device::features).orElse(Set.of());
            essentials.add(
                    new Essential(feature, has.contains(feature) ? Met.YES : has.isEmpty() ? Met.UNKNOWN : Met.NO));
        }
        wishes.budget()
                .ifPresent(budget -> essentials.add(new Essential(
                        "within " + Values.plain(budget),
                        price.isEmpty() ? Met.UNKNOWN : price.getAsDouble() <= budget ? Met.YES : Met.NO)));
        return essentials;
    }

    private OptionalDouble whPerDay(FitCase fit) {
        double sum = 0;
        List<PowerInput> inputs = new ArrayList<>();
        fit.chain().device().ifPresent(d -> inputs.add(d.power()));
        fit.chain().booster().ifPresent(b -> inputs.add(b.power()));
        for (PowerInput input : inputs) {
            if (input.drawW().isEmpty()) {
                return OptionalDouble.empty();
            }
            double draw = input.drawW().getAsDouble();
            sum += input.mainsOnly()
                    ? Supply.whPerDayThroughInverter(draw, wishes.hoursADay())
                    : Supply.whPerDay(draw, wishes.hoursADay());
        }
        return inputs.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(sum);
    }

    private static CandidateView view(Judged judged, double score, int rank) {
        Option o = judged.option();
        return new CandidateView(
                judged.id(),
                o.name(),
                FitService.summary(judged.fit().chain()),
                o.essentials().stream()
                        .map(m -> new EssentialView(m.what(), m.met().label()))
                        .toList(),
                o.meetsNeed(),
                o.bandsWorking(),
                judged.fit().bands().size(),
                o.streams(),
                judged.gains(),
                boxed(o.meanGainDb()),
                boxed(o.price()),
                boxed(o.pricePerDb()),
                boxed(o.pricePerStream()),
                boxed(o.whPerDay()),
                judged.toBuy(),
                score,
                rank);
    }

    private static Double boxed(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }
}
