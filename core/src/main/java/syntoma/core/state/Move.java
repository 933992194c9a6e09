package syntoma.core.state;

import java.util.Optional;

/**
 * One thing that hands do.
 *
 * @param says what to do
 * @param caution what to watch out for while doing it
 */
public record Move(Work work, Action action, String says, Optional<String> caution) {
    static Move of(Work work, Action action, String says) {
        return new Move(work, action, says, Optional.empty());
    }

    static Move of(Work work, Action action, String says, String caution) {
        return new Move(work, action, says, Optional.of(caution));
    }
}
