package syntoma.app.platform;

import java.util.List;
import java.util.Optional;
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
import syntoma.app.store.StorageTrouble;
import syntoma.core.unit.FieldProblem;

/** Answers errors as RFC 9457 problem details, with {@code errors} where the input was at fault. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    @ExceptionHandler
    ResponseEntity<Object> invalid(InvalidInput refused) {
        return answer(HttpStatus.BAD_REQUEST, refused.getMessage(), refused.problems());
    }

    @ExceptionHandler
    ResponseEntity<Object> notFound(NotFound missing) {
        return answer(HttpStatus.NOT_FOUND, missing.getMessage(), List.of());
    }

    @ExceptionHandler
    ResponseEntity<Object> conflict(Conflict conflict) {
        return answer(HttpStatus.CONFLICT, conflict.getMessage(), conflict.problems());
    }

    @ExceptionHandler
    ResponseEntity<Object> tooLarge(TooLarge large) {
        return answer(HttpStatus.PAYLOAD_TOO_LARGE, large.getMessage(), List.of());
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
        String message = wrong.getName() + " is “" + wrong.getValue() + "”; allowed is " + wanted;
        return answer(HttpStatus.BAD_REQUEST, message, List.of(new FieldProblem(wrong.getName(), message)));
    }

    @ExceptionHandler
    ResponseEntity<Object> unexpected(RuntimeException bug) {
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
        String detail = "the body cannot be read as the JSON that is expected";
        List<FieldProblem> errors = List.of();
        if (e.getCause() instanceof com.fasterxml.jackson.databind.JsonMappingException mapping
                && !mapping.getPath().isEmpty()) {
            String field = mapping.getPath().get(mapping.getPath().size() - 1).getFieldName();
            detail = field + " cannot be read: "
                    + mapping.getOriginalMessage().replaceAll("`?[a-z]+(\\.[A-Za-z$]+)+`?", "value");
            errors = List.of(new FieldProblem(field, detail));
        }
        return answer(HttpStatus.BAD_REQUEST, detail, errors);
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
