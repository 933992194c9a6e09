/**
 * Aiming a directional antenna: where a known mast lies, what a sweep over headings says, and where a mast stands that was found
 * from several places.
 *
 * <p>Headings and bearings in degrees clockwise from north, true unless said; levels in dB or dBm; places in degrees on WGS-84.
 */
@NullMarked
package syntoma.core.aim;

import org.jspecify.annotations.NullMarked;
