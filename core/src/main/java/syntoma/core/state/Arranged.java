package syntoma.core.state;

/**
 * Something that hands arrange for a setup and that is no part of its signal chain, such as a metal plate.
 *
 * @param phrase what it adds to the name of the setup
 * @param says what to do for it, in a sentence
 */
public record Arranged(Work work, String phrase, String says) {}
