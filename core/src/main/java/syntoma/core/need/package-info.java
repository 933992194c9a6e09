/**
 * What the connection is for, as thresholds, and what several needs ask for together.
 *
 * <p>Rates in Mb/s (10⁶ bit/s), amounts in GB (10⁹ byte), latency in ms, loss in %. Assumes that needs of one part of the day
 * run at the same time. Refuses thresholds that no connection could have.
 */
@NullMarked
package syntoma.core.need;

import org.jspecify.annotations.NullMarked;
