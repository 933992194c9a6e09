/**
 * Measurements as a trial has them: outcomes, samples, and the blocks within which setups are paired.
 *
 * <p>Times are instants; a stay ends where nothing was measured for longer than its gap. Assumes that runs of one block were
 * made under the same conditions.
 */
@NullMarked
package syntoma.core.trial;

import org.jspecify.annotations.NullMarked;
