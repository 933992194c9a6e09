package syntoma.core.chain;

import java.util.Optional;

/** A card, and the network it is of. */
public record Sim(String name, String carrier, Optional<SimSize> size) {}
