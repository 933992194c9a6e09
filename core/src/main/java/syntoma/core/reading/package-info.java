/**
 * The catalogue of a measurement's figures, and what a reading of a cell means.
 *
 * <p>Each figure states its column, its field, its unit, its range (3GPP TS 36.133, TS 38.133) and the scale on which setups
 * are compared by it. Values outside their range are refused with the range in the message.
 */
@NullMarked
package syntoma.core.reading;

import org.jspecify.annotations.NullMarked;
