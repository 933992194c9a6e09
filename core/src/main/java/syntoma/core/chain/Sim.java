package syntoma.core.chain;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A card, the network it is of, and what its plan gives.
 *
 * @param carrier empty text when it is not said
 * @param allowanceGb a month; empty when it is not said
 * @param capMbps speed that the plan holds to; empty when it is not said
 */
public record Sim(
        String name, String carrier, Optional<SimSize> size, OptionalDouble allowanceGb, OptionalDouble capMbps) {}
