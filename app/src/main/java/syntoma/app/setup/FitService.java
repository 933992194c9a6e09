package syntoma.app.setup;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.gear.GearItem;
import syntoma.app.gear.GearKind;
import syntoma.app.gear.GearService;
import syntoma.app.gear.Parts;
import syntoma.app.need.Carriers;
import syntoma.app.need.Needs;
import syntoma.app.need.Vehicles;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.setup.Chains.WhatIfRequest;
import syntoma.core.band.Band;
import syntoma.core.chain.Adapter;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Plugging;
import syntoma.core.chain.Use;
import syntoma.core.chain.Vehicle;
import syntoma.core.choice.Purchase;
import syntoma.core.fit.Demand;
import syntoma.core.fit.FitCase;

/** Chains as the core sees them, on the ground that they are judged by. */
@Service
@Transactional(readOnly = true)
public class FitService {
    private final GearService gear;
    private final Vehicles vehicles;
    private final Carriers carriers;
    private final Needs needs;

    FitService(GearService gear, Vehicles vehicles, Carriers carriers, Needs needs) {
        this.gear = gear;
        this.vehicles = vehicles;
        this.carriers = carriers;
        this.needs = needs;
    }

    /** What chains are judged by, read once for all of them. */
    public record Ground(
            Map<Long, GearItem> shelf,
            Vehicle vehicle,
            double hoursADay,
            String carrier,
            @Nullable String region,
            List<Band> bands,
            Demand demand) {
        Ground with(Map<Long, GearItem> otherShelf) {
            return new Ground(otherShelf, vehicle, hoursADay, carrier, region, bands, demand);
        }
    }

    /** The ground for the carrier and the region that are chosen. */
    public Ground ground() {
        return ground(Optional.empty(), Optional.empty());
    }

    /** The ground for the carrier and the region that are chosen, or for others. */
    Ground ground(Optional<String> wantedCarrier, Optional<String> wantedRegion) {
        wantedCarrier.ifPresent(carriers::check);
        String carrier = wantedCarrier.or(vehicles::carrier).orElse("");
        String region = wantedRegion.or(() -> vehicles.region(carrier)).orElse(null);
        return new Ground(
                gear.byNumber(),
                vehicles.vehicle(),
                vehicles.hoursADay(),
                carrier,
                region,
                carriers.bands(carrier, region),
                Demand.of(needs.requirement(), vehicles.features()));
    }

    /** A chain as the core sees it. */
    public static FitCase fit(ChainPlan plan, Ground ground) {
        return fit(plan, Optional.empty(), ground);
    }

    static FitCase fit(ChainPlan plan, Optional<WhatIfRequest> whatIf, Ground ground) {
        Chain chain = new Chains(ground.shelf(), ground.vehicle()).of(plan, whatIf);
        Set<Long> used = Set.copyOf(plan.adapters());
        List<Adapter> spares = ground.shelf().values().stream()
                .filter(g -> g.is() == GearKind.ADAPTER && !used.contains(g.id()) && !g.isRetired())
                .map(g -> g.isOwned() ? Parts.adapter(g).owned() : Parts.adapter(g))
                .toList();
        return FitCase.of(chain, ground.carrier(), ground.bands(), spares, ground.demand());
    }

    /**
     * A plan with one lead plugged elsewhere.
     *
     * @throws InvalidInputException naming the lead or the port that the chain has not
     */
    static ChainPlan withLeadAt(ChainPlan plan, String lead, Optional<String> port, Ground ground) {
        FitCase fit = fit(plan, Optional.empty(), ground);
        Plugging moved = InvalidInputException.naming("plug", () -> {
            Plugging wanted = fit.wiring().plugging().withLeadAt(lead, port);
            wanted.check(fit.chain());
            return wanted;
        });
        return plan.with(moved);
    }

    /**
     * Checks that a plan can be built and set so.
     *
     * @throws InvalidInputException naming the part or the setting that cannot be
     */
    static void check(ChainPlan plan, Ground ground) {
        plan.checkSettings();
        Chain chain = new Chains(ground.shelf(), ground.vehicle()).of(plan, Optional.empty());
        InvalidInputException.naming("wiring", () -> {
            new Plugging(plan.wiring()).check(chain);
            return chain;
        });
    }

    /** The parts of a plan that would have to be bought, a cable for each lead that it lengthens. */
    public static List<Purchase> toBuy(ChainPlan plan, Map<Long, GearItem> shelf) {
        List<Purchase> parts = new ArrayList<>();
        pieces(plan, shelf).forEach((id, pieces) -> {
            GearItem item = shelf.get(id);
            if (item.isToBuy()) {
                parts.add(Purchase.isPart(
                        item.name(),
                        pieces,
                        item.price() == null ? OptionalDouble.empty() : OptionalDouble.of(item.price())));
            }
        });
        return parts;
    }

    /** The gear of a plan with how many pieces of each it takes. */
    public static Map<Long, Integer> pieces(ChainPlan plan, Map<Long, GearItem> shelf) {
        return plan.pieces(run ->
                Parts.antenna(shelf.get(run.antenna())).leads(Use.CELLULAR).size());
    }
}
