package syntoma.core.fit;

import java.util.OptionalDouble;

/**
 * Something that remedies a finding and has to be bought.
 *
 * @param price of all pieces in units of money; empty where it is not known
 * @param isEstimated whether the price is that of its class, not of a thing on the shelf
 */
public record ToBuy(String item, int pieces, OptionalDouble price, boolean isEstimated) {
    /** Usual prices of the class, in units of money: chosen from what such things are commonly sold for. */
    static final double STABILISER = 45;

    static final double CONVERTER = 25;
    static final double USB_SUPPLY = 15;
    static final double POE_INJECTOR = 35;
    static final double STEEL_PLATE = 10;
    static final double ADAPTER = 8;

    /** One piece at about the usual price of its class. */
    static ToBuy about(String what, double price) {
        return new ToBuy(what, 1, OptionalDouble.of(price), true);
    }

    /** Pieces at about the usual price of their class each. */
    static ToBuy about(String what, int pieces, double priceEach) {
        return new ToBuy(what, pieces, OptionalDouble.of(pieces * priceEach), true);
    }

    /** Such as 2 × SMA-female to TS9-male adapter. */
    public String label() {
        return pieces == 1 ? item : pieces + " × " + item;
    }
}
