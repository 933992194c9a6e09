package syntoma.core.roof;

import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import syntoma.core.chain.Shell;
import syntoma.core.unit.Values;

/**
 * A roof with what is on it and under it.
 *
 * @param thicknessMm from its outer skin to the ceiling inside
 * @param isDoubleSkin whether there is a hollow between
 * @param heightM of the skin over the ground
 * @param limitM the most the vehicle may be high while it drives
 */
public record Roof(
        double lengthM,
        double widthM,
        Shell shell,
        double thicknessMm,
        boolean isDoubleSkin,
        double heightM,
        double limitM,
        List<Thing> things) {
    /** More are not on a roof. */
    public static final int MOST_THINGS = 60;

    /**
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    public Roof {
        Values.within("roof length", lengthM, 0.5, 15, "m");
        Values.within("roof width", widthM, 0.5, 3, "m");
        Values.within("thickness", thicknessMm, 0.5, 200, "mm");
        Values.within("height", heightM, 1, 6, "m");
        Values.within("height limit", limitM, 1, 6, "m");
        Values.within("things on the roof", things.size(), 0, MOST_THINGS, "");
        things = List.copyOf(things);
    }

    /** All of it. */
    public Rect outline() {
        return new Rect(0, 0, lengthM, widthM);
    }

    public List<Thing> onRoof() {
        return things.stream().filter(t -> t.kind().isOnRoof()).toList();
    }

    public List<Thing> hiddenThings() {
        return things.stream().filter(t -> !t.kind().isOnRoof()).toList();
    }

    /** How high antennas may be above the skin and still go down the road, in m. */
    public double headroomM() {
        return limitM - heightM;
    }

    /** What cannot be so, in sentences: things off the roof, and things that stand in each other. Awnings may hang over the edge. */
    public List<String> misfits() {
        List<Thing> standing = onRoof();
        return IntStream.range(0, standing.size())
                .boxed()
                .flatMap(i -> Stream.concat(
                        off(standing.get(i)).stream(),
                        standing.subList(i + 1, standing.size()).stream()
                                .filter(other ->
                                        other.rect().overlaps(standing.get(i).rect()))
                                .map(other -> standing.get(i).name() + " and " + other.name() + " overlap.")))
                .toList();
    }

    private List<String> off(Thing thing) {
        boolean mayHang = thing.kind() == Thing.Kind.AWNING || thing.kind() == Thing.Kind.LADDER;
        return mayHang || thing.rect().isWithin(outline())
                ? List.of()
                : List.of(thing.name() + " sticks out over the edge of the roof.");
    }
}
