package syntoma.standin.fault;

/** What is wrong with a router. */
public enum RouterFault {
    NONE,
    /** Answers what is no JSON. */
    GARBAGE,
    /** Answers after half a minute. */
    SLOW,
    /** Answers 10 MB. */
    HUGE,
    /** Sends whoever asks to another host. */
    ELSEWHERE,
    /** Asks for a password that nobody has. */
    LOCKED,
    /** Breaks off in the middle of its answer. */
    HALF,
    /** Says levels that no device can report. */
    IMPOSSIBLE,
    /** Says what stands for nothing. */
    PLACEHOLDERS
}
