package syntoma.core.roof;

import java.util.Optional;
import syntoma.core.chain.CableClass;
import syntoma.core.unit.Values;

/**
 * The way of the leads from an antenna to its device: along the vehicle and across it, as cables are laid.
 *
 * @param device its place seen from above
 * @param dropM from the ceiling down to it, with the bends
 * @param entry where the leads go in; empty for beneath the antenna
 * @param leadM what the antenna brings
 * @param slackM kept for a second try at the plug
 * @param dripLoopM the bow before the way in, from which water drops
 * @param mhz at which loss is told
 */
public record Cabling(
        Spot device,
        double dropM,
        Optional<Spot> entry,
        double leadM,
        double slackM,
        double dripLoopM,
        CableClass cable,
        double mhz) {

    /**
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    public Cabling {
        Values.within("drop", dropM, 0, 5, "m");
        Values.within("lead", leadM, 0, 30, "m");
        Values.within("slack", slackM, 0, 5, "m");
        Values.within("drip loop", dripLoopM, 0, 2, "m");
        Values.within("frequency", mhz, 100, 50_000, "MHz");
    }

    /** What the leads have to reach, in m: the way, slack and drip loop. */
    public double wantedM(Spot antenna) {
        double way = entry.map(in -> antenna.alongM(in) + in.alongM(device)).orElseGet(() -> antenna.alongM(device));
        return way + dropM + slackM + dripLoopM;
    }

    /** What the leads are too short by, in m; 0 where they reach. */
    public double extensionM(Spot antenna) {
        return Math.max(0, wantedM(antenna) - leadM);
    }

    /** What the leads lose with the extension that they need, in dB; what is left of them is coiled up, and counts. */
    public double lossDb(Spot antenna) {
        return lossDb(antenna, mhz);
    }

    /** The same at another frequency in MHz. */
    public double lossDb(Spot antenna, double atMhz) {
        return cable.lossDb(atMhz, Math.max(leadM, wantedM(antenna)));
    }
}
