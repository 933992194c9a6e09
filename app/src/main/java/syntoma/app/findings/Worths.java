package syntoma.app.findings;

import static syntoma.app.platform.Optionals.boxed;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.gear.GearItem;
import syntoma.app.gear.GearService;
import syntoma.app.need.Vehicles;
import syntoma.app.setup.FitService;
import syntoma.app.setup.SetupService;
import syntoma.core.finding.Criterion;
import syntoma.core.finding.Finding;
import syntoma.core.finding.Worth;
import syntoma.core.reading.Figure;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;
import syntoma.core.unit.Wilson;

/** What setups cost beside what they bring. */
@Service
@Transactional(readOnly = true)
class Worths {
    private final FindingsService findings;
    private final Selecting selecting;
    private final SetupService chains;
    private final GearService gear;
    private final Vehicles vehicles;

    Worths(FindingsService findings, Selecting selecting, SetupService chains, GearService gear, Vehicles vehicles) {
        this.findings = findings;
        this.selecting = selecting;
        this.chains = chains;
        this.gear = gear;
        this.vehicles = vehicles;
    }

    /** On the rate that is asked for, or on the one that the needs ask for first. */
    FindingsView.WorthView view(FindingsRequest request) {
        Criterion asked = findings.criterion(request.metric());
        boolean isRate = asked.metric()
                .filter(m -> m == Figure.UP_MBPS || m == Figure.DOWN_MBPS)
                .isPresent();
        return view(findings.find(
                ComparedKind.SETUPS,
                isRate ? asked : Criterion.of(Figure.UP_MBPS),
                request.baseline(),
                request.filter()));
    }

    /** By what was found of a rate. */
    FindingsView.WorthView view(FindingsService.FindingsAnswer found) {
        Criterion rate = found.query().criterion();
        String need = findings.needName();
        String currency = vehicles.currency().orElse(null);
        if (found.finding().isEmpty()) {
            return new FindingsView.WorthView(
                    null, need, rate.words(), null, null, "Nothing was measured of this yet.", currency, List.of());
        }
        Finding finding = found.finding().get();
        Map<String, Map<Long, Boolean>> met = metByStay(found.selection());
        Map<String, List<Long>> parts = parts();
        Map<Long, GearItem> shelf = gear.byNumber();
        List<Long> base = parts.getOrDefault(finding.baseline(), List.of());
        List<Worth.SetupRecord> known = new ArrayList<>();
        for (Finding.Unit unit : finding.units()) {
            List<Long> own = parts.getOrDefault(unit.name(), List.of());
            List<Long> more = new ArrayList<>(own);
            base.forEach(more::remove);
            known.add(new Worth.SetupRecord(
                    unit.name(),
                    price(own, shelf),
                    price(more, shelf),
                    met.getOrDefault(unit.name(), Map.of()),
                    unit.effect()));
        }
        Worth worth = Worth.of(known);
        Map<String, Integer> pennants = findings.pennants();
        return new FindingsView.WorthView(
                finding.baseline(),
                need,
                rate.words(),
                worth.cheapest().orElse(null),
                worth.fastest().orElse(null),
                headline(worth, need, currency),
                currency,
                worth.rows().stream().map(r -> row(r, pennants)).toList());
    }

    private static FindingsView.WorthRow row(Worth.Row row, Map<String, Integer> pennants) {
        Worth.SetupRecord k = row.record();
        return new FindingsView.WorthRow(
                k.setup(),
                pennants.get(k.setup()),
                boxed(k.price()),
                boxed(k.adds()),
                boxed(k.effect().estimate()),
                boxed(row.perStep()),
                k.stays(),
                k.metAt(),
                row.share().map(Wilson::low).orElse(null),
                row.share().map(Wilson::high).orElse(null),
                row.isEnough(),
                k.effect().verdict().key());
    }

    /** Per setup the stays at which it was measured on what is needed, and whether at least half of its runs met it. */
    private Map<String, Map<Long, Boolean>> metByStay(Selecting.Selection selection) {
        double[] met = selecting.metPercent(selection.log());
        TripSelection trip = selection.trip();
        Map<Integer, Map<Long, int[]>> runs = new HashMap<>();
        for (int i = 0; i < trip.size(); i++) {
            double value = met[trip.places()[i]];
            if (!Double.isNaN(value)) {
                int[] counts = runs.computeIfAbsent(trip.unit(i), u -> new HashMap<>())
                        .computeIfAbsent(trip.stay(i), s -> new int[2]);
                counts[0]++;
                counts[1] += value > 0 ? 1 : 0;
            }
        }
        Map<String, Map<Long, Boolean>> stays = new HashMap<>();
        runs.forEach((unit, perStay) -> {
            Map<Long, Boolean> did = new HashMap<>();
            perStay.forEach((stay, counts) -> did.put(stay, 2 * counts[1] >= counts[0]));
            stays.put(selection.names().get(unit), did);
        });
        return stays;
    }

    /** The numbers of the gear of each setup, one for each piece; cards are no part of it. */
    private Map<String, List<Long>> parts() {
        Map<Long, GearItem> shelf = gear.byNumber();
        Map<String, List<Long>> parts = new HashMap<>();
        chains.plans().values().forEach(planned -> {
            Set<Long> cards = new HashSet<>(planned.plan().sims());
            List<Long> own = new ArrayList<>();
            FitService.pieces(planned.plan(), shelf).forEach((id, pieces) -> {
                for (int i = 0; i < pieces && !cards.contains(id); i++) {
                    own.add(id);
                }
            });
            if (planned.plan().device() != null) {
                parts.put(planned.setup().name(), own);
            }
        });
        return parts;
    }

    private static OptionalDouble price(List<Long> parts, Map<Long, GearItem> shelf) {
        double sum = 0;
        for (long id : parts) {
            Double price = shelf.get(id).price();
            if (price == null) {
                return OptionalDouble.empty();
            }
            sum += price;
        }
        return OptionalDouble.of(sum);
    }

    private static String headline(Worth worth, String need, @Nullable String currency) {
        String cheapest = worth.cheapest()
                .map(name -> cheapest(worth, name, need, currency))
                .orElse("No setup of a known price met " + need + " at four of five stays.");
        return cheapest
                + worth.fastest()
                        .map(name -> " The fastest is " + name + ".")
                        .orElse(" Which is the fastest cannot be told yet.");
    }

    private static String cheapest(Worth worth, String name, String need, @Nullable String currency) {
        Worth.SetupRecord known = worth.rows().stream()
                .map(Worth.Row::record)
                .filter(k -> k.setup().equals(name))
                .findFirst()
                .orElseThrow();
        return name + " (" + money(known.price().orElseThrow(), currency)
                + ") is the cheapest setup that is good enough for " + need + ": it was at " + known.metAt() + " of "
                + Text.count(known.stays(), "stay") + "."
                + worth.harder()
                        .map(there -> " You used it at the easier places, though: of the "
                                + Text.count(there.stays(), "stay") + " without it, other setups were good enough at "
                                + there.metStays() + ".")
                        .orElse("");
    }

    /** An amount of money, such as 165 €. */
    static String money(double amount, @Nullable String currency) {
        return Values.round(amount, 0) + (currency == null ? "" : "\u00a0" + currency);
    }
}
