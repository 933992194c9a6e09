package syntoma.app.platform;

import java.util.List;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import syntoma.core.unit.FieldProblem;

/** Input that is refused; says which fields, their values and what is allowed. Nothing of it was saved. */
public class InvalidInputException extends RuntimeException {
    private final transient List<FieldProblem> problems;

    public InvalidInputException(List<FieldProblem> problems) {
        super(problems.stream().map(FieldProblem::message).collect(Collectors.joining("; ")));
        this.problems = List.copyOf(problems);
    }

    public InvalidInputException(String field, String message) {
        this(List.of(new FieldProblem(field, message)));
    }

    public List<FieldProblem> problems() {
        return problems;
    }

    /** Runs a call of the core, whose refusals are about the given field. */
    public static <T> T naming(String field, Supplier<T> call) {
        try {
            return call.get();
        } catch (IllegalArgumentException refused) {
            throw new InvalidInputException(field, refused.getMessage());
        }
    }
}
