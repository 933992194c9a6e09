/**
 * What a whole trip says: setups, carriers or bands compared over many stays at the same places and times, what they cost, and
 * whether something changed on the way (docs/methods.md#10-findings).
 *
 * <p>One additive model on the scale of the metric (natural logarithm for speeds and latencies, dB for levels, points for shares):
 * value = block + unit + error. It assumes that what one unit does more than another is much the same from block to block; where it
 * is not, the effects by strength of signal tell. Nothing is claimed of a unit that stood beside another at fewer than four stays.
 */
@NullMarked
package syntoma.core.finding;

import org.jspecify.annotations.NullMarked;
