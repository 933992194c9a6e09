package syntoma.core.band;

import java.util.Optional;

/**
 * An operating band of 3GPP TS 36.101 (named B1, B2, …) or TS 38.101 (named n1, n2, …).
 *
 * @param uplink empty for a downlink-only band
 * @param downlink for TDD the same span as the uplink
 */
public record Band(String name, Technology rat, Duplex duplex, Optional<Span> uplink, Span downlink) {
    /** The radio technology a band belongs to. */
    public enum Technology {
        LTE,
        NR
    }
}
