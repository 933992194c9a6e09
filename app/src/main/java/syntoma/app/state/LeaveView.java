package syntoma.app.state;

import java.util.List;
import org.springframework.lang.Nullable;
import syntoma.core.sentence.Sentence;

/**
 * What to take down and put back before driving off.
 *
 * @param campsite that is left; null where the vehicle stands nowhere
 * @param left whether the stay has ended
 * @param steps in the order in which to do them, those too that are done
 * @param stillUp why the vehicle must not be driven yet; null where it may be
 */
record LeaveView(
        @Nullable String campsite, boolean left, String headline, List<LeaveStep> steps, @Nullable String stillUp) {
    /**
     * One of them.
     *
     * @param key by which it is ticked
     * @param caution null where there is nothing to watch out for
     */
    record LeaveStep(String key, Sentence says, @Nullable String caution, boolean done) {}
}
