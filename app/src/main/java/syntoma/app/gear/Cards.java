package syntoma.app.gear;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import syntoma.core.chain.Sim;

/** The cards that are owned, by the carrier that they are of. */
@Component
@Transactional(readOnly = true)
public class Cards {
    /** Plans usually begin with the month. */
    private static final int FIRST = 1;

    private final GearService gear;

    Cards(GearService gear) {
        this.gear = gear;
    }

    /**
     * What cards of a carrier give together.
     *
     * @param capMbps what the plan lets through; of several the fastest, empty where one has no cap
     * @param allowanceGb a month, of all of them; empty where no sheet says
     * @param pricePerGb in units of money; empty where it is not known
     * @param resetDay of the month, of the first of them
     */
    public record Card(OptionalDouble capMbps, OptionalDouble allowanceGb, OptionalDouble pricePerGb, int resetDay) {
        private Card and(Card other) {
            OptionalDouble cap = capMbps.isPresent() && other.capMbps.isPresent()
                    ? OptionalDouble.of(Math.max(capMbps.getAsDouble(), other.capMbps.getAsDouble()))
                    : OptionalDouble.empty();
            OptionalDouble allowance = allowanceGb.isPresent() && other.allowanceGb.isPresent()
                    ? OptionalDouble.of(allowanceGb.getAsDouble() + other.allowanceGb.getAsDouble())
                    : allowanceGb.isPresent() ? allowanceGb : other.allowanceGb;
            return new Card(cap, allowance, pricePerGb.isPresent() ? pricePerGb : other.pricePerGb, resetDay);
        }
    }

    /** All carriers of which a card is owned. */
    public Map<String, Card> byCarrier() {
        Map<String, Card> cards = new LinkedHashMap<>();
        sims().filter(GearItem::isOwned).forEach(item -> {
            Sim sim = Parts.sim(item);
            if (!sim.carrier().isEmpty()) {
                cards.merge(sim.carrier(), card(item, sim), Card::and);
            }
        });
        return cards;
    }

    /** Carriers of which there is a card in the list of gear, and none that is owned. */
    public Set<String> goneCarriers() {
        Set<String> gone =
                sims().map(item -> Parts.sim(item).carrier()).collect(Collectors.toCollection(LinkedHashSet::new));
        gone.removeAll(byCarrier().keySet());
        return gone;
    }

    private Stream<GearItem> sims() {
        return gear.all().stream().filter(item -> item.is() == GearKind.SIM);
    }

    /**
     * A card with what its plan says.
     *
     * @param resetDay the first where the sheet does not say
     * @param terms empty text where the sheet does not say
     */
    public record Plan(
            long gear, String name, Sim sim, int resetDay, OptionalDouble pricePerMonth, boolean owned, String terms) {
        private static Plan of(GearItem item) {
            Sheet sheet = new Sheet(item.sheet());
            return new Plan(
                    item.id(),
                    item.name(),
                    Parts.sim(item),
                    sheet.integer("resetDay").orElse(FIRST),
                    sheet.number("pricePerMonth"),
                    item.isOwned(),
                    sheet.text("terms").orElse(""));
        }

        private OptionalDouble pricePerGb() {
            return pricePerMonth.isPresent() && sim.allowanceGb().orElse(0) > 0
                    ? OptionalDouble.of(
                            pricePerMonth.getAsDouble() / sim.allowanceGb().getAsDouble())
                    : OptionalDouble.empty();
        }
    }

    /** All cards of the list of gear, those too that are not owned. */
    public List<Plan> plans() {
        return sims().filter(item -> !item.isRetired()).map(Plan::of).toList();
    }

    private static Card card(GearItem item, Sim sim) {
        Plan plan = Plan.of(item);
        return new Card(sim.capMbps(), sim.allowanceGb(), plan.pricePerGb(), plan.resetDay);
    }
}
