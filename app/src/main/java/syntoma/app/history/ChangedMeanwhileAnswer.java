package syntoma.app.history;

import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;

/** Answers 409 with what the other one changed and the version that stands now. */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class ChangedMeanwhileAnswer {
    @ExceptionHandler
    ProblemDetail answer(ChangedMeanwhileException changed) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, changed.getMessage());
        problem.setProperty("version", changed.version());
        problem.setProperty("changes", changed.changes());
        return problem;
    }
}
