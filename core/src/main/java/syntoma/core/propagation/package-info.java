/**
 * Loss in the air and gain by height.
 *
 * <p>Distances in km or m as named, frequencies in MHz, results in dB. Free space and the two-ray ground: woods, ridges and
 * buildings are not in it.
 */
@NullMarked
package syntoma.core.propagation;

import org.jspecify.annotations.NullMarked;
