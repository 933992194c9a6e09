/**
 * A setup's signal chain: its parts as their sheets have them, how they are plugged, and its staircase of gains and losses.
 *
 * <p>Gains and losses in dB as positive numbers with the sign in the formula, lengths in m, frequencies in MHz. What a sheet
 * does not say is empty and is never filled in; estimates are marked as such. Refuses parts that cannot be, leads and ports
 * that a chain has not, and a part that is in a chain twice.
 */
@NullMarked
package syntoma.core.chain;

import org.jspecify.annotations.NullMarked;
