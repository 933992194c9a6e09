package syntoma.app.setup;

/** The parts of a setup are others now. */
public record SetupChangedEvent(long setup) {}
