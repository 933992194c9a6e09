package syntoma.core.choice;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import syntoma.core.fit.Findings;

/**
 * Something that a candidate costs beside what is owned.
 *
 * @param price of all pieces in units of money; empty where it is not known
 * @param isPart whether it is one of the candidate's own parts; else it comes on top, so that they work
 * @param isEstimated whether the price is that of its class
 */
public record Purchase(String item, int pieces, OptionalDouble price, boolean isPart, boolean isEstimated) {

    /** Pieces of a part of the candidate that is not owned yet. */
    public static Purchase isPart(String name, int pieces, OptionalDouble priceEach) {
        return new Purchase(
                name,
                pieces,
                priceEach.isPresent() ? OptionalDouble.of(priceEach.getAsDouble() * pieces) : priceEach,
                true,
                false);
    }

    /** The parts with what the fit check says must be bought for them. */
    public static List<Purchase> of(List<Purchase> parts, Findings findings) {
        List<Purchase> all = new ArrayList<>(parts);
        findings.toBuy().forEach(b -> all.add(new Purchase(b.item(), b.pieces(), b.price(), false, b.isEstimated())));
        return List.copyOf(all);
    }
}
