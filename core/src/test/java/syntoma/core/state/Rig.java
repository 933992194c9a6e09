package syntoma.core.state;

import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import syntoma.core.chain.Placement;
import syntoma.core.chain.Source;

/** Setups for tests, part by part. */
public final class Rig {
    private final String device;
    private final SortedMap<String, Spot> antennas = new TreeMap<>();
    private final SortedMap<String, String> sims = new TreeMap<>();
    private String carrier = "Tarnwave";
    private int slots = 1;
    private Optional<String> lockedTo = Optional.empty();
    private Source source = Source.CELLULAR;
    private String place = "inside";
    private Optional<String> booster = Optional.empty();
    private String bands = "automatic";

    private boolean screwOn;

    private Rig(String device) {
        this.device = device;
    }

    /** A device inside, with no antennas, on Tarnwave. */
    public static Rig of(String device) {
        return new Rig(device);
    }

    public Rig on(String name) {
        carrier = name;
        return this;
    }

    public Rig slots(int count) {
        slots = count;
        return this;
    }

    public Rig lockedTo(String name) {
        lockedTo = Optional.of(name);
        return this;
    }

    public Rig sim(String name, String of) {
        sims.put(name, of);
        return this;
    }

    public Rig source(Source other) {
        source = other;
        return this;
    }

    public Rig place(String where) {
        place = where;
        return this;
    }

    public Rig screwOn() {
        screwOn = true;
        return this;
    }

    /** An antenna on the roof, or so many metres above it. */
    public Rig antenna(String name, double raisedM) {
        antennas.put(name, raisedM == 0 ? Spot.ROOF : Spot.onMast(raisedM));
        return this;
    }

    public Rig atTheWindow(String name) {
        antennas.put(name, new Spot(Placement.WINDOW, 0));
        return this;
    }

    public Rig booster(Optional<String> name) {
        booster = name;
        return this;
    }

    public Rig booster(String name) {
        return booster(Optional.of(name));
    }

    public Rig bands(String held) {
        bands = held;
        return this;
    }

    public Arrangement arrangement() {
        return new Arrangement(
                Optional.empty(),
                new Holder(device, slots, lockedTo, screwOn),
                carrier,
                sims,
                source,
                place,
                antennas,
                booster,
                bands,
                Optional.empty());
    }
}
