package syntoma.core.chain;

import java.util.OptionalDouble;

/**
 * An adapter between two kinds of connector.
 *
 * @param first one end
 * @param second the other end
 * @param rigid whether it is one solid piece; else a pigtail
 * @param lossDb empty when the sheet does not say
 * @param price empty when not known
 */
public record Adapter(
        String name, Connector first, Connector second, boolean rigid, OptionalDouble lossDb, OptionalDouble price) {

    /** Whether it goes between the two ends given. */
    public boolean bridges(Connector a, Connector b) {
        return first.mates(a) && second.mates(b) || first.mates(b) && second.mates(a);
    }
}
