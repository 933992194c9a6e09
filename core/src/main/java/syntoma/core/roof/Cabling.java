package syntoma.core.roof;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import syntoma.core.chain.CableClass;
import syntoma.core.chain.Staircase;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;

/**
 * The way of the leads from an antenna to its device: along the vehicle and across it, as cables are laid.
 *
 * @param device its place seen from above
 * @param dropM from the ceiling down to it, with the bends
 * @param entry where the leads go in; empty for beneath the antenna
 * @param bends corners that the leads go round inside, from the way in to the device
 * @param leadM what the antenna brings
 * @param slackM kept for a second try at the plug
 * @param dripLoopM the bow before the way in, from which water drops
 * @param mhz at which loss is told
 */
public record Cabling(
        Spot device,
        double dropM,
        Optional<Spot> entry,
        List<Spot> bends,
        double leadM,
        double slackM,
        double dripLoopM,
        CableClass cable,
        double mhz) {
    private static final int MOST_BENDS = 12;
    private static final double THICK_M = 0.005;

    /**
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    public Cabling {
        bends = List.copyOf(bends);
        Values.within("bends", bends.size(), 0, MOST_BENDS, "");
        Values.within("drop", dropM, 0, 5, "m");
        Values.within("lead", leadM, 0, 30, "m");
        Values.within("slack", slackM, 0, 5, "m");
        Values.within("drip loop", dripLoopM, 0, 2, "m");
        Values.within("frequency", mhz, 100, 50_000, "MHz");
    }

    /** What the leads have to reach, in m: the way, slack and drip loop. */
    public double wantedM(Spot antenna) {
        Spot in = entry.orElse(antenna);
        double way = antenna.alongM(in);
        Spot last = in;
        for (Spot bend : bends) {
            way += last.alongM(bend);
            last = bend;
        }
        return way + last.alongM(device) + dropM + slackM + dripLoopM;
    }

    /** The same leads by another way in; empty for beneath the antenna. */
    public Cabling through(Optional<Spot> way) {
        return new Cabling(device, dropM, way, bends, leadM, slackM, dripLoopM, cable, mhz);
    }

    /** Whether leads reach, or what they need more. */
    static Sentence reach(double extensionM) {
        return extensionM == 0
                ? Sentence.of("the leads reach")
                : Sentence.of("the leads need ", Quantity.metres(extensionM, 1), " more");
    }

    /** What they pass too close to under the roof, in sentences; none where the way is clear. */
    public List<Sentence> closePasses(List<Thing> hidden, Spot antenna) {
        List<Rect> legs = legs(antenna);
        List<Sentence> said = new ArrayList<>();
        for (Thing thing : hidden) {
            double free = legs.stream()
                    .mapToDouble(leg -> leg.distanceM(thing.rect()))
                    .min()
                    .orElse(Double.POSITIVE_INFINITY);
            if (free < thing.kind().fromCableM()) {
                said.add(Sentence.of(
                        "The leads ",
                        free == 0
                                ? "cross " + thing.name()
                                : Sentence.of("pass " + thing.name() + " at ", Quantity.drawnLength(free)),
                        ": ",
                        thing.kind().besideCable()));
            }
        }
        return said;
    }

    /** The way under the roof in pieces along the vehicle and across it. */
    private List<Rect> legs(Spot antenna) {
        List<Spot> corners = new ArrayList<>(bends);
        corners.add(device);
        List<Rect> legs = new ArrayList<>();
        Spot last = entry.orElse(antenna);
        for (Spot corner : corners) {
            Spot turn = new Spot(corner.x(), last.y());
            legs.add(leg(last, turn));
            legs.add(leg(turn, corner));
            last = corner;
        }
        return legs;
    }

    private static Rect leg(Spot from, Spot to) {
        return new Rect(
                Math.min(from.x(), to.x()) - THICK_M / 2,
                Math.min(from.y(), to.y()) - THICK_M / 2,
                Math.abs(from.x() - to.x()) + THICK_M,
                Math.abs(from.y() - to.y()) + THICK_M);
    }

    /** What the leads are too short by, in m; 0 where they reach. */
    public double extensionM(Spot antenna) {
        return Math.max(0, wantedM(antenna) - leadM);
    }

    /** What the leads lose with the extension that they need and its pair of connectors, in dB; what is left over is coiled up, and counts. */
    public double lossDb(Spot antenna) {
        return lossDb(antenna, mhz);
    }

    /** The same at another frequency in MHz. */
    public double lossDb(Spot antenna, double atMhz) {
        double joint = extensionM(antenna) > 0 ? Staircase.CONNECTOR_DB : 0;
        return cable.lossDb(atMhz, Math.max(leadM, wantedM(antenna))) + joint;
    }
}
