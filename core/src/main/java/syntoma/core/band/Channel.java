package syntoma.core.band;

import java.util.List;
import java.util.Optional;

/**
 * What a channel number says.
 *
 * @param band empty when the number alone does not settle it
 * @param candidates every band whose downlink holds the frequency
 * @param downlinkMhz carrier frequency of the downlink
 * @param uplinkMhz carrier frequency of the uplink; empty for downlink-only bands, where the band is open, and where the
 *     band pairs its spans freely
 */
public record Channel(Optional<Band> band, List<Band> candidates, double downlinkMhz, Optional<Double> uplinkMhz) {}
