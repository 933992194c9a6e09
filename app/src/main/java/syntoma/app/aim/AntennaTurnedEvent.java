package syntoma.app.aim;

/** An antenna is said to point to a true heading, and is about to be read. */
public record AntennaTurnedEvent(double trueDeg) {}
