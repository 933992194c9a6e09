package syntoma.app.findings;

import io.swagger.v3.oas.annotations.Parameter;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestAttribute;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The report of the trip. */
@RestController
@RequestMapping("/api")
class ReportController {
    private final Report report;
    private final Turn turn;

    ReportController(Report report, Turn turn) {
        this.report = report;
        this.turn = turn;
    }

    /** One page that needs nothing else: to be read, printed, handed on. */
    @GetMapping(value = "/report", produces = MediaType.TEXT_HTML_VALUE)
    ResponseEntity<String> report(
            Report.ReportRequest asked,
            @RequestParam(defaultValue = "false") boolean download,
            @Parameter(hidden = true) @RequestAttribute String nonce) {
        ResponseEntity.BodyBuilder answer =
                ResponseEntity.ok().contentType(MediaType.parseMediaType("text/html;charset=UTF-8"));
        if (download) {
            answer.header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"report.html\"");
        }
        return answer.body(turn.of(() -> report.page(asked, nonce)));
    }
}
