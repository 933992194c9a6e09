package syntoma.app.platform;

import java.util.List;
import syntoma.core.unit.FieldProblem;

/** What was asked for cannot be done as things stand; the message says what stands in the way and what can be done. */
public class ConflictException extends RuntimeException {
    private final transient List<FieldProblem> problems;

    public ConflictException(String message) {
        super(message);
        this.problems = List.of();
    }

    /** A conflict over one field of what was given. */
    public ConflictException(String field, String message) {
        super(message);
        this.problems = List.of(new FieldProblem(field, message));
    }

    public List<FieldProblem> problems() {
        return problems;
    }
}
