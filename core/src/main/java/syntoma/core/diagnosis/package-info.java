/**
 * Why it is slow here: one small rule per cause, over what was measured, what a phone showed, what the chain is and what the plan
 * gives (docs/methods.md#11-diagnosis). More than one may hold; without evidence nothing is claimed.
 *
 * <p>Levels in dBm, speeds in Mb/s, latencies in ms. Thresholds are the methods' where they give one, else chosen and said to be.
 */
@NullMarked
package syntoma.core.diagnosis;

import org.jspecify.annotations.NullMarked;
