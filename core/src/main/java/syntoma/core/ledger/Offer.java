package syntoma.core.ledger;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * What a plan gives, and for what.
 *
 * <pre>{@code
 * Offer offer = new Offer("Ostrel SIM", "Ostrel", OptionalDouble.of(60), OptionalDouble.empty(), OptionalDouble.of(18));
 * offer.pricePerGb() // 0.30
 * }</pre>
 *
 * @param card its name
 * @param allowanceGb a month; empty where it is not limited or not said
 * @param capMbps empty where it is not held to a speed
 * @param pricePerMonth empty where it is not known
 */
public record Offer(
        String card, String carrier, OptionalDouble allowanceGb, OptionalDouble capMbps, OptionalDouble pricePerMonth) {

    /**
     * What so much data in a month would have cost on a plan.
     *
     * @param cards of the same plan that it takes
     * @param price of all of them
     */
    public record Fit(Offer offer, int cards, double price) {}

    /** What a GB costs when all of the allowance is used; empty where price or allowance are not known. */
    public OptionalDouble pricePerGb() {
        return pricePerMonth.isPresent() && allowanceGb.isPresent() && allowanceGb.getAsDouble() > 0
                ? OptionalDouble.of(pricePerMonth.getAsDouble() / allowanceGb.getAsDouble())
                : OptionalDouble.empty();
    }

    /** How many cards of the plan so much data a month takes; empty where that is not known. */
    private OptionalInt cardsFor(double gb) {
        return allowanceGb.isEmpty() || allowanceGb.getAsDouble() <= 0
                ? OptionalInt.empty()
                : OptionalInt.of((int) Math.max(1, Math.ceil(gb / allowanceGb.getAsDouble())));
    }

    /** What so much data a month costs on the plan. */
    public Optional<Fit> fit(double gb) {
        OptionalInt cards = cardsFor(gb);
        return cards.isPresent() && pricePerMonth.isPresent()
                ? Optional.of(new Fit(this, cards.getAsInt(), cards.getAsInt() * pricePerMonth.getAsDouble()))
                : Optional.empty();
    }

    /**
     * What so much data a month costs on each of some plans, the cheapest first; plans that are held to less than a rate are left
     * out.
     */
    public static List<Fit> cheapestFirst(List<Offer> offers, double gb, OptionalDouble leastMbps) {
        return offers.stream()
                .filter(o -> leastMbps.isEmpty()
                        || o.capMbps.isEmpty()
                        || o.capMbps.getAsDouble() >= leastMbps.getAsDouble())
                .flatMap(o -> o.fit(gb).stream())
                .sorted(Comparator.comparingDouble(Fit::price).thenComparing(f -> f.offer.card))
                .toList();
    }
}
