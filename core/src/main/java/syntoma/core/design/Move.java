package syntoma.core.design;

import java.util.Optional;

/**
 * One thing that hands do.
 *
 * @param says what to do
 * @param caution what to mind while doing it
 */
public record Move(Work work, String says, Optional<String> caution) {
    static Move of(Work work, String says) {
        return new Move(work, says, Optional.empty());
    }

    static Move of(Work work, String says, String caution) {
        return new Move(work, says, Optional.of(caution));
    }
}
