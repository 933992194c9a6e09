package syntoma.app.setup;

/** A setup is about to be deleted; who refers to it lets it go. */
public record SetupDeletedEvent(long setup) {}
