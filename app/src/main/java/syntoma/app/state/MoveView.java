package syntoma.app.state;

import org.springframework.lang.Nullable;
import syntoma.core.sentence.Sentence;
import syntoma.core.state.Move;

/** One thing that hands do. @param caution null where there is nothing to watch out for */
public record MoveView(Sentence says, @Nullable String caution) {
    public static MoveView of(Move move) {
        return new MoveView(move.says(), move.caution().orElse(null));
    }
}
