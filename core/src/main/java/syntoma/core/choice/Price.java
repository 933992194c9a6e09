package syntoma.core.choice;

import java.util.List;
import syntoma.core.unit.Values;

/**
 * What a candidate costs: what is known of it, and whether something on top is not.
 *
 * @param knownPart in units of money
 * @param isOpen whether a part has no price, so that it is at least what is known
 * @param isEstimated whether a usual price of a class is in it
 */
public record Price(double knownPart, boolean isOpen, boolean isEstimated) {

    /** What purchases cost together. */
    public static Price of(List<Purchase> purchases) {
        return new Price(
                purchases.stream().mapToDouble(p -> p.price().orElse(0)).sum(),
                purchases.stream().anyMatch(p -> p.price().isEmpty()),
                purchases.stream().anyMatch(Purchase::isEstimated));
    }

    /** Such as 330, about 345, or at least 330. */
    public String words() {
        return (isOpen ? "at least " : isEstimated ? "about " : "") + Values.round(knownPart, 0);
    }
}
