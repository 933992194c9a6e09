package syntoma.core.chain;

import java.util.OptionalDouble;

/**
 * What a device or a booster takes.
 *
 * @param mainsOnly whether it runs from its mains adapter alone
 * @param lowV lowest input in V; empty when the sheet does not say
 * @param highV highest input in V
 * @param drawW usual draw in W
 */
public record PowerInput(boolean mainsOnly, OptionalDouble lowV, OptionalDouble highV, OptionalDouble drawW) {
    /** Nothing is stated. */
    public static final PowerInput UNKNOWN =
            new PowerInput(false, OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());
}
