package syntoma.app.history;

import java.util.List;
import java.util.stream.Collectors;
import syntoma.app.platform.ConflictException;
import syntoma.core.unit.Text;

/** What was about to be saved was changed by somebody else since it was looked at; nothing was saved. */
public final class ChangedMeanwhileException extends ConflictException {
    private static final int MOST_TOLD = 5;

    private final int version;
    private final transient List<Change> changes;

    ChangedMeanwhileException(String what, int version, List<Change> changes) {
        super(what + " was changed meanwhile: " + describe(changes)
                + ". Nothing of yours was saved; look at it, then save again.");
        this.version = version;
        this.changes = List.copyOf(changes);
    }

    /** The version that stands now. */
    public int version() {
        return version;
    }

    /** What the other one changed. */
    public List<Change> changes() {
        return changes;
    }

    private static String describe(List<Change> changes) {
        if (changes.isEmpty()) {
            return "somebody saved it again as it was";
        }
        String more = changes.size() > MOST_TOLD ? ", and " + (changes.size() - MOST_TOLD) + " more" : "";
        return changes.stream()
                        .limit(MOST_TOLD)
                        .map(c -> c.field() + " from " + valueText(c.was()) + " to " + valueText(c.now()))
                        .collect(Collectors.joining(", "))
                + more;
    }

    private static String valueText(String value) {
        return value == null ? "nothing" : Text.quote(value);
    }
}
