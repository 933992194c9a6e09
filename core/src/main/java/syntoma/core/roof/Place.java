package syntoma.core.roof;

import java.util.Optional;

/**
 * A place for an antenna, and what it costs.
 *
 * @param spot of its centre
 * @param clearanceM to the nearest gear, from edge to edge; infinite on a bare roof
 * @param nearest the name of that gear
 * @param wantedM what the leads have to reach
 * @param extensionM what they are too short by
 * @param lossDb of leads and extension
 * @param shade the share of the horizon in which other gear stands in the way
 * @param objection the gravest one
 */
public record Place(
        Spot spot,
        double clearanceM,
        Optional<String> nearest,
        double wantedM,
        double extensionM,
        double lossDb,
        double shade,
        Optional<Objection> objection) {
    /** Whether it keeps all rules. */
    public boolean isFree() {
        return objection.isEmpty();
    }

    /** Whether it can be among the best, of some roof. */
    boolean mayBeBest() {
        return isFree() || isNarrow();
    }

    Place shaded(double share) {
        return new Place(spot, clearanceM, nearest, wantedM, extensionM, lossDb, share, objection);
    }

    /** Whether nothing but want of clearance speaks against it. */
    boolean isNarrow() {
        return objection.filter(o -> o.kind() == Objection.Why.CLEARANCE).isPresent();
    }
}
