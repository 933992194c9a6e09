package syntoma.core.state;

import java.util.Optional;
import syntoma.core.sentence.Sentence;

/**
 * One thing that hands do.
 *
 * @param says what to do
 * @param caution what to watch out for while doing it
 */
public record Move(Work work, Action action, Sentence says, Optional<String> caution) {
    static Move of(Work work, Action action, CharSequence says) {
        return new Move(work, action, Sentence.of(says), Optional.empty());
    }

    static Move of(Work work, Action action, CharSequence says, String caution) {
        return new Move(work, action, Sentence.of(says), Optional.of(caution));
    }
}
