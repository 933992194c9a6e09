package syntoma.core.state;

import syntoma.core.sentence.Sentence;

/**
 * Something that hands arrange for a setup and that is no part of its signal chain, such as a metal plate.
 *
 * @param phrase what it adds to the name of the setup
 * @param says what to do for it, in a sentence
 */
public record ExtraStep(Work work, String phrase, Sentence says) {
    /** Whether hands have nothing to do between the two; one that was stored has its quantities as words. */
    boolean isSameAs(ExtraStep other) {
        return work == other.work
                && phrase.equals(other.phrase)
                && says.toString().contentEquals(other.says);
    }
}
