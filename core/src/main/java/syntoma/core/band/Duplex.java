package syntoma.core.band;

/** How a band shares uplink and downlink: two spans, one span in turns, or downlink only. */
public enum Duplex {
    FDD,
    TDD,
    SDL
}
