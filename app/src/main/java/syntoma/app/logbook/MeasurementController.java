package syntoma.app.logbook;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import syntoma.app.platform.InvalidInput;
import syntoma.app.platform.NotFound;
import syntoma.core.unit.Text;

/** Measurements: typed, listed, deleted and put back, imported and exported. */
@RestController
@RequestMapping("/api")
class MeasurementController {
    private static final int MOST_LISTED = 5_000;

    private final Logbook logbook;
    private final MeasurementLog log;
    private final ImportService imports;
    private final ExportService exports;
    private final ImportProgress progress;
    private final ProgressFeed feed;
    private final MeasurementForm form;

    MeasurementController(
            Logbook logbook,
            MeasurementLog log,
            ImportService imports,
            ExportService exports,
            ImportProgress progress,
            ProgressFeed feed,
            MeasurementForm form) {
        this.logbook = logbook;
        this.log = log;
        this.imports = imports;
        this.exports = exports;
        this.progress = progress;
        this.feed = feed;
        this.form = form;
    }

    /** The number of a new measurement. */
    record Stored(long id) {}

    @GetMapping("/measurements")
    List<LoggedMeasurement> measurements(
            @RequestParam(required = false) Long stay,
            @RequestParam(required = false) String campsite,
            @RequestParam(required = false) String trial,
            @RequestParam(defaultValue = "1000") int limit) {
        if (limit < 1 || limit > MOST_LISTED) {
            throw new InvalidInput("limit", "limit is " + limit + "; allowed is 1 to " + MOST_LISTED);
        }
        Optional<Long> place =
                Optional.ofNullable(campsite).map(name -> logbook.campsite(name).id());
        return logbook.measurements(
                new Logbook.Selection(place, Optional.ofNullable(stay), Optional.ofNullable(trial), List.of(), limit));
    }

    @PostMapping("/measurements")
    @ResponseStatus(HttpStatus.CREATED)
    Stored store(@org.springframework.web.bind.annotation.RequestBody MeasurementForm.Request request) {
        MeasurementForm.Result read = form.read(request);
        return new Stored(log.store(read.measurement().orElseThrow(() -> new InvalidInput(read.problems()))));
    }

    @PostMapping("/measurements/check")
    MeasurementForm.Check check(@org.springframework.web.bind.annotation.RequestBody MeasurementForm.Request request) {
        return form.check(request);
    }

    @DeleteMapping("/measurements/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@PathVariable long id) {
        log.delete(id);
    }

    @PostMapping("/measurements/{id}/restore")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void restore(@PathVariable long id) {
        log.restore(id);
    }

    @PostMapping(value = "/measurements/import")
    @Operation(
            requestBody = @RequestBody(content = @Content(mediaType = "text/csv", schema = @Schema(type = "string"))))
    ImportReport importCsv(
            @RequestParam(defaultValue = "false") boolean dryRun,
            @RequestParam(name = "progress", defaultValue = "") String name,
            HttpServletRequest request)
            throws IOException {
        try (ImportProgress.Run run = progress.begin(followed(name))) {
            return imports.run(request.getInputStream(), dryRun, run);
        }
    }

    private static String followed(String name) {
        return name.isEmpty() ? name : InvalidInput.naming("progress", () -> Text.name("progress", name, 80));
    }

    @GetMapping("/imports/{name}")
    @ApiResponse(
            content =
                    @Content(
                            mediaType = MediaType.TEXT_EVENT_STREAM_VALUE,
                            schema = @Schema(implementation = ProgressFeed.Progress.class)))
    SseEmitter follow(@PathVariable String name) {
        return feed.follow(name);
    }

    @DeleteMapping("/imports/{name}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void cancel(@PathVariable String name) {
        ImportProgress.Run run = progress.find(name);
        if (run == null) {
            throw new NotFound("no import of that name is under way");
        }
        run.cancel();
    }

    @ExceptionHandler
    @ResponseStatus(HttpStatus.CONFLICT)
    ProblemDetail cancelled(Cancelled cancelled) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, cancelled.getMessage());
    }

    @GetMapping(value = "/measurements.csv", produces = "text/csv")
    void export(HttpServletResponse response) throws IOException {
        response.setContentType("text/csv;charset=UTF-8");
        response.setHeader("Content-Disposition", "attachment; filename=\"measurements.csv\"");
        Writer out =
                new BufferedWriter(new OutputStreamWriter(response.getOutputStream(), StandardCharsets.UTF_8), 1 << 16);
        exports.write(out);
        out.flush();
    }
}
