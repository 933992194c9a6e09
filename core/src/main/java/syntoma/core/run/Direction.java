package syntoma.core.run;

/** Which way the payload of a part of a run goes. */
public enum Direction {
    DOWN,
    UP
}
