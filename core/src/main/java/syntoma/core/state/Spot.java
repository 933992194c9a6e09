package syntoma.core.state;

import syntoma.core.chain.Placement;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;

/**
 * Where an antenna is.
 *
 * @param raisedM height above the roof in m to which hands have raised it; 0 for one that stays as it is for the drive
 */
public record Spot(Placement placement, double raisedM) {
    /** Nobody drives with an antenna that stands higher above the roof than this; a lower one is taken to be fixed there. */
    private static final double HIGHEST_ON_THE_ROAD_M = 1;

    private static final double HIGHEST_M = 15;

    /** On the roof, where it stays. */
    public static final Spot ROOF = new Spot(Placement.ROOF, 0);

    /**
     * @throws IllegalArgumentException naming a height that no mast has
     */
    public Spot {
        Values.within("height", raisedM, 0, HIGHEST_M, "m above the roof");
    }

    /** Of an antenna with its foot so high above the roof. */
    public static Spot of(Placement placement, double footM) {
        boolean raised = placement == Placement.MAST || footM > HIGHEST_ON_THE_ROAD_M;
        return new Spot(placement, raised ? footM : 0);
    }

    /** On a mast that is up. */
    public static Spot onMast(double metres) {
        return new Spot(Placement.MAST, metres);
    }

    public boolean isRaised() {
        return raisedM > 0;
    }

    /** Whether it stays there while driving. */
    boolean staysOnTheRoad() {
        return !isRaised() && placement != Placement.WINDOW;
    }

    /** As a person would say it, after the name of the antenna. */
    public Sentence says() {
        if (isRaised()) {
            return Sentence.of(Quantity.metres(raisedM, 1), " above the roof");
        }
        return Sentence.of(
                switch (placement) {
                    case ROOF, MAST -> "on the roof";
                    case WINDOW -> "at the window";
                    case INSIDE -> "inside";
                });
    }
}
