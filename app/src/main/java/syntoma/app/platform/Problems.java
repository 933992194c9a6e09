package syntoma.app.platform;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import syntoma.app.store.BusyException;
import syntoma.app.store.CannotSaveException;
import syntoma.app.store.CollisionFinder;
import syntoma.app.store.StorageTrouble;
import syntoma.core.unit.FieldProblem;
import syntoma.core.unit.Text;

/** Answers errors as RFC 9457 problem details, with {@code errors} where the input was at fault. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    @ExceptionHandler
    ResponseEntity<Object> invalid(InvalidInputException refused) {
        return answer(HttpStatus.BAD_REQUEST, refused.getMessage(), refused.problems());
    }

    @ExceptionHandler
    ResponseEntity<Object> notFound(NotFoundException missing) {
        return answer(HttpStatus.NOT_FOUND, missing.getMessage(), List.of());
    }

    @ExceptionHandler
    ResponseEntity<Object> conflict(ConflictException conflict) {
        return answer(HttpStatus.CONFLICT, conflict.getMessage(), conflict.problems());
    }

    /** A question: what can be answered is beside it. */
    @ExceptionHandler
    ProblemDetail confirmationRequired(ConfirmationRequiredException question) {
        ProblemDetail body = ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, question.getMessage());
        body.setProperty("errors", question.problems());
        body.setProperty("choices", question.choices());
        return body;
    }

    @ExceptionHandler
    ResponseEntity<Object> mismatch(MethodArgumentTypeMismatchException wrong) {
        String wanted = wrong.getRequiredType() == null
                ? "another kind of value"
                : switch (wrong.getRequiredType().getSimpleName()) {
                    case "int", "Integer", "long", "Long" -> "a whole number";
                    case "boolean", "Boolean" -> "true or false";
                    default -> wrong.getRequiredType().getSimpleName();
                };
        String given = wrong.getValue() instanceof Object[] several
                ? Arrays.stream(several).map(String::valueOf).collect(Collectors.joining(", "))
                : String.valueOf(wrong.getValue());
        String message = wrong.getName() + " is " + Text.quote(given) + "; allowed is " + wanted;
        return answer(HttpStatus.BAD_REQUEST, message, List.of(new FieldProblem(wrong.getName(), message)));
    }

    @ExceptionHandler
    ResponseEntity<Object> busy(BusyException busy) {
        return answer(HttpStatus.SERVICE_UNAVAILABLE, busy.getMessage(), List.of());
    }

    @ExceptionHandler
    ResponseEntity<Object> cannotSave(CannotSaveException refused) {
        return answer(HttpStatus.INSUFFICIENT_STORAGE, refused.getMessage(), List.of());
    }

    @ExceptionHandler
    ResponseEntity<Object> unexpected(RuntimeException bug) {
        if (CollisionFinder.isIn(bug)) {
            return answer(
                    HttpStatus.CONFLICT,
                    "the same was changed by somebody else at this moment; nothing of this was kept. Look at it again",
                    List.of());
        }
        Optional<String> storage = StorageTrouble.in(bug);
        if (storage.isPresent()) {
            LOG.error("storage: {}", storage.get());
            return answer(HttpStatus.INSUFFICIENT_STORAGE, storage.get(), List.of());
        }
        LOG.error("unexpected failure", bug);
        return answer(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something went wrong in Syntoma itself; nothing was changed. The log has the details.",
                List.of());
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        FieldProblem problem = JsonFault.problem(e.getCause());
        return answer(HttpStatus.BAD_REQUEST, problem.message(), List.of(problem));
    }

    /** Whatever the caller accepts: an error is a problem document. */
    @Override
    protected ResponseEntity<Object> createResponseEntity(
            Object body, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        boolean unnamed = body instanceof ProblemDetail detail
                && (detail.getProperties() == null || !detail.getProperties().containsKey("errors"));
        if (unnamed && Problem.isOfInput(status.value())) {
            ProblemDetail problem = (ProblemDetail) body;
            problem.setProperty("errors", List.of(Problem.ofRequest(String.valueOf(problem.getDetail()))));
        }
        return ResponseEntity.status(status)
                .headers(headers)
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(body);
    }

    @Override
    protected ResponseEntity<Object> handleMissingServletRequestParameter(
            MissingServletRequestParameterException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        String message = e.getParameterName() + " is missing";
        return answer(HttpStatus.BAD_REQUEST, message, List.of(new FieldProblem(e.getParameterName(), message)));
    }

    private static ResponseEntity<Object> answer(HttpStatus status, String detail, List<FieldProblem> errors) {
        ProblemDetail body = ProblemDetail.forStatusAndDetail(status, detail);
        if (!errors.isEmpty()) {
            body.setProperty("errors", errors);
        }
        return ResponseEntity.status(status)
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(body);
    }
}
