package syntoma.core.choice;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import syntoma.core.fit.Findings;
import syntoma.core.fit.FitFinding;

/**
 * Something that a candidate costs beside what is owned.
 *
 * @param price in units of money; empty where it is not known
 * @param part whether it is one of the candidate's own parts; else it comes on top, so that they work
 */
public record Purchase(String what, OptionalDouble price, boolean part) {
    /** About what a 12 V stabiliser costs, in units of money: chosen as a usual price of the class. */
    private static final double STABILISER_PRICE = 45;

    /** A part of the candidate that is not owned yet. */
    public static Purchase part(String name, OptionalDouble price) {
        return new Purchase(name, price, true);
    }

    /** The parts with what the fit check says must be bought for them. */
    static List<Purchase> of(List<Purchase> parts, Findings findings) {
        List<Purchase> all = new ArrayList<>(parts);
        for (FitFinding finding : findings.all()) {
            if (finding.wantsAdapter()) {
                all.add(new Purchase(finding.fix(), finding.price(), false));
            } else if (finding.wantsStabiliser()) {
                all.add(new Purchase("12 V stabiliser, about", OptionalDouble.of(STABILISER_PRICE), false));
            }
        }
        return List.copyOf(all);
    }

    /** What all of it costs; empty when a part of the candidate has no price. Parts owned cost nothing more. */
    static OptionalDouble sum(List<Purchase> purchases) {
        boolean unpriced =
                purchases.stream().anyMatch(p -> p.part() && p.price().isEmpty());
        return unpriced
                ? OptionalDouble.empty()
                : OptionalDouble.of(
                        purchases.stream().mapToDouble(p -> p.price().orElse(0)).sum());
    }
}
