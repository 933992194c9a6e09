package syntoma.app.setup;

/**
 * A setup with the number of its pennant.
 *
 * @param retired whether it is offered no more
 */
public record SetupName(long id, String name, int pennant, boolean retired) {}
