package syntoma.app.setup;

/** A setup with the number of its pennant. */
public record SetupName(long id, String name, int pennant) {}
