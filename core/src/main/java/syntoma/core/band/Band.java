package syntoma.core.band;

import java.util.Optional;

/**
 * An operating band of 3GPP TS 36.101 (named B1, B2, …) or TS 38.101 (named n1, n2, …).
 *
 * @param uplink empty for a downlink-only band
 * @param downlink for TDD the same span as the uplink
 */
public record Band(String name, Technology rat, Duplex duplex, Optional<Span> uplink, Span downlink) {
    /** Whether another band of the same kind lies inside this one, both ways, and is narrower. */
    public boolean encloses(Band other) {
        return rat == other.rat
                && duplex == other.duplex
                && !name.equals(other.name)
                && downlink.encloses(other.downlink)
                && uplink.isPresent() == other.uplink.isPresent()
                && (uplink.isEmpty() || uplink.get().encloses(other.uplink.get()));
    }

    /** Whether it has a downlink alone, and so carries nothing without a band that works both ways beside it. */
    public boolean isDownlinkOnly() {
        return uplink.isEmpty();
    }

    /** The radio technology a band belongs to. */
    public enum Technology {
        LTE,
        NR
    }
}
