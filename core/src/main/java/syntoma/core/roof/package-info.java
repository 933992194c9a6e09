/**
 * The roof of the vehicle from above: what stands on it and what lies hidden under it, where an antenna may go, where its leads
 * run, and what the wind does to a mast. Lengths are in m; x runs from the front of the roof to its rear, y from its left edge, seen
 * in the direction of travel, to its right.
 */
@NullMarked
package syntoma.core.roof;

import org.jspecify.annotations.NullMarked;
