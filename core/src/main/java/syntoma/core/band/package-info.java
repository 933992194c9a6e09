/**
 * Operating bands, channel numbers, and whether a band gets through.
 *
 * <p>Frequencies in MHz. Bands of 3GPP TS 36.101 and TS 38.101-1/-2 for all regions, a table beside the classes. Assumes that
 * a link passes a direction when nine tenths of its span lie inside the stated range. Refuses names and channels that are in
 * no band; a channel number that lies in several is never settled by guessing.
 */
@NullMarked
package syntoma.core.band;

import org.jspecify.annotations.NullMarked;
