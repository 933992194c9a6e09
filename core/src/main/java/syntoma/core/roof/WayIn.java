package syntoma.core.roof;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;

/**
 * A way in for the leads, and what it costs.
 *
 * @param inlet that is there already; empty for a new hole beneath the antenna
 * @param cabling by this way
 * @param passes whether the leads pass it one at a time; empty where that is not known
 */
public record WayIn(Optional<Thing> inlet, Cabling cabling, Spot antenna, Optional<Boolean> passes) {
    /**
     * All there are, those that need no hole and let the leads pass first, then by what the cable loses.
     *
     * @param boreMm that the leads need one at a time; empty where they are not described
     */
    public static List<WayIn> all(Roof roof, Cabling cabling, Spot antenna, OptionalDouble boreMm) {
        Stream<WayIn> there = roof.onRoof().stream()
                .filter(thing -> thing.kind() == Thing.Kind.INLET)
                .map(thing -> new WayIn(
                        Optional.of(thing),
                        cabling.through(Optional.of(thing.rect().centre())),
                        antenna,
                        boreMm.isEmpty() || thing.freeMm() == 0
                                ? Optional.empty()
                                : Optional.of(thing.freeMm() >= boreMm.getAsDouble())));
        WayIn hole = new WayIn(Optional.empty(), cabling.through(Optional.empty()), antenna, Optional.of(true));
        return Stream.concat(there, Stream.of(hole))
                .sorted(Comparator.comparing((WayIn w) -> !w.passes.orElse(true))
                        .thenComparing(w -> w.inlet.isEmpty())
                        .thenComparingDouble(WayIn::lossDb))
                .toList();
    }

    public double wantedM() {
        return cabling.wantedM(antenna);
    }

    public double extensionM() {
        return cabling.extensionM(antenna);
    }

    public double lossDb() {
        return cabling.lossDb(antenna);
    }

    /** What it means, in a sentence. */
    public Sentence says(OptionalDouble boreMm) {
        Sentence reach = Cabling.reach(extensionM());
        if (inlet.isEmpty()) {
            Sentence bore = boreMm.isPresent()
                    ? Sentence.of(" of ", Quantity.millimetres(boreMm.getAsDouble(), 1))
                    : Sentence.EMPTY;
            return Sentence.of("A hole", bore, " beneath the antenna: ", reach, ".");
        }
        String name = inlet.get().name();
        double free = inlet.get().freeMm();
        Sentence passing = passes.map(pass -> pass
                        ? Sentence.of("they pass its ", Quantity.millimetres(free))
                        : Sentence.of(
                                "they do not pass its ",
                                Quantity.millimetres(free),
                                ", which would have to be ",
                                Quantity.millimetres(boreMm.orElseThrow(), 1)))
                .orElse(Sentence.of(free == 0 ? "say how wide it is inside" : "say how thick leads and plugs are"));
        return Sentence.of(name, " needs no hole: ", reach, "; ", passing, ".");
    }
}
