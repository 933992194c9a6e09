/**
 * What a chain takes from the vehicle's 12 V side, and the wire and fuse it needs there.
 *
 * <p>Watts, volts, amperes, Wh a day; cross-sections in mm². Assumes copper, a run there and back, and a wire warmed by its
 * bundle. Where a sheet does not state the draw every figure is empty.
 */
@NullMarked
package syntoma.core.power;

import org.jspecify.annotations.NullMarked;
