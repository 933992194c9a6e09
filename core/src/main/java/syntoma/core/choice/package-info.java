/**
 * Chains to choose between: what each must have, what it costs and brings, and their order under weights.
 *
 * <p>Prices in units of money, energy in Wh a day, predicted gain in dB. What is not known counts as the worst and is said to
 * be unknown. Refuses weights outside 0 to 10.
 */
@NullMarked
package syntoma.core.choice;

import org.jspecify.annotations.NullMarked;
