package syntoma.core.chain;

/**
 * A cable with its two ends.
 *
 * @param lengthM in m
 */
public record Cable(String name, CableClass cableClass, double lengthM, Connector first, Connector second) {}
