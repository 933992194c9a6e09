package syntoma.core.chain;

/**
 * An antenna port of a device.
 *
 * @param isMain whether it is the one to use when there is one lead only
 */
public record Port(String label, Use use, Connector connector, boolean isMain) {}
