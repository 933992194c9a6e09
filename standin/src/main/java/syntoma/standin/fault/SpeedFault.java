package syntoma.standin.fault;

/** What is wrong with a speed server. */
public enum SpeedFault {
    NONE,
    /** Its connections are cut. */
    CUT,
    /** It keeps its connections, and nothing comes. */
    STALL,
    /** It takes no run. */
    REFUSE
}
