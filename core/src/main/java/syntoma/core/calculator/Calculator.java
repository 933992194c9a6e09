package syntoma.core.calculator;

import java.util.List;
import syntoma.core.sentence.Sentence;

/** One calculator. */
public interface Calculator {
    /** The name in the API. */
    String key();

    /** What it is called. */
    String name();

    /** What it answers, in a few words. */
    String answers();

    List<Input> inputs();

    /** The formula with its source. */
    String formula();

    /** Where it stops being true. */
    Sentence holds();

    /**
     * Calculates.
     *
     * @throws IllegalArgumentException naming what cannot be
     */
    Answer of(GivenValues given);

    /** What to watch out for where its answer is acted on; empty where nothing can be hurt. */
    default String caution() {
        return "";
    }
}
