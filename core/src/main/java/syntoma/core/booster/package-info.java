/**
 * How much of a booster's gain can be used before it hears itself.
 *
 * <p>Levels in dBm, gains and losses in dB as positive numbers, distances in m, frequencies in MHz. Assumes free space between
 * the two antennas and a shell between them that is known as a figure.
 */
@NullMarked
package syntoma.core.booster;

import org.jspecify.annotations.NullMarked;
