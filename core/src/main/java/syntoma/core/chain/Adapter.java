package syntoma.core.chain;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * An adapter between two kinds of connector.
 *
 * @param first one end
 * @param second the other end
 * @param isRigid whether it is one solid piece; else a pigtail
 * @param lossDb empty when the sheet does not say
 * @param price empty when not known
 */
public record Adapter(
        String name, Connector first, Connector second, boolean isRigid, OptionalDouble lossDb, OptionalDouble price) {

    /** Whether it goes between the two ends given. */
    public boolean bridges(Connector a, Connector b) {
        return first.mates(a) && second.mates(b) || first.mates(b) && second.mates(a);
    }

    /** The same, on the shelf already: it costs nothing more. */
    public Adapter owned() {
        return new Adapter(name, first, second, isRigid, lossDb, OptionalDouble.of(0));
    }

    /** What is at the other end once it is put on a connector; none when it does not go on. */
    List<Connector> farEnds(Connector on) {
        return Stream.concat(
                        first.mates(on) ? Stream.of(second) : Stream.empty(),
                        second.mates(on) ? Stream.of(first) : Stream.empty())
                .toList();
    }
}
