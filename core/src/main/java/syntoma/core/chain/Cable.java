package syntoma.core.chain;

/**
 * A cable with its two ends.
 *
 * @param lengthM in m
 */
public record Cable(String name, CableClass cableClass, double lengthM, Connector first, Connector second) {

    /** The end that is put on a connector: the one that mates with it, else the first. */
    public Connector nearEnd(Connector connector) {
        return first.mates(connector) || !second.mates(connector) ? first : second;
    }

    /** The other end then. */
    public Connector farEnd(Connector connector) {
        return first.mates(connector) || !second.mates(connector) ? second : first;
    }
}
