package syntoma.core.choice;

import syntoma.core.unit.Values;

/** How much each side of an option counts, 0 to 10. */
public record Weights(double gain, double bands, double streams, double price, double energy) {
    /** The most a side can count. */
    public static final double MOST = 10;

    public static final Weights USUAL = new Weights(3, 3, 2, 2, 1);

    public Weights {
        Values.within("weight of gain", gain, 0, MOST, "");
        Values.within("weight of bands", bands, 0, MOST, "");
        Values.within("weight of streams", streams, 0, MOST, "");
        Values.within("weight of price", price, 0, MOST, "");
        Values.within("weight of energy", energy, 0, MOST, "");
    }

    /** The weight of a side. */
    public double of(Side side) {
        return switch (side) {
            case GAIN -> gain;
            case BANDS -> bands;
            case STREAMS -> streams;
            case PRICE -> price;
            case ENERGY -> energy;
        };
    }
}
