package syntoma.app.exchange;

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
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import syntoma.app.platform.Attachment;
import syntoma.app.platform.CallerPresence;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.NotFoundException;
import syntoma.core.unit.Text;

/** The log as files: imported with progress and cancel, and exported. */
@RestController
@RequestMapping("/api")
class ExchangeController {
    private static final int LONGEST_NAME = 200;
    private static final String WORKBOOK = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    private final ImportService imports;
    private final ExportService exports;
    private final ImportProgress progress;
    private final ProgressFeed feed;
    private final Tables tables;
    private final Mappings mappings;

    ExchangeController(
            ImportService imports,
            ExportService exports,
            ImportProgress progress,
            ProgressFeed feed,
            Tables tables,
            Mappings mappings) {
        this.imports = imports;
        this.exports = exports;
        this.progress = progress;
        this.feed = feed;
        this.tables = tables;
        this.mappings = mappings;
    }

    @PostMapping(value = "/measurements/import")
    @Operation(
            requestBody =
                    @RequestBody(
                            content = {
                                @Content(mediaType = "text/csv", schema = @Schema(type = "string")),
                                @Content(mediaType = WORKBOOK, schema = @Schema(type = "string", format = "binary"))
                            }))
    ImportReport importCsv(
            @RequestParam(defaultValue = "false") boolean dryRun,
            @RequestParam(name = "progress", defaultValue = "") String name,
            @RequestParam(defaultValue = "") String sheet,
            @RequestParam(name = "file", defaultValue = "") String fileName,
            HttpServletRequest request)
            throws IOException {
        try (ImportProgress.Run run = progress.begin(checkName("progress", name), CallerPresence.hasLeft(request))) {
            return imports.run(
                    request.getInputStream(),
                    new ImportService.FileSelection(checkName("file", fileName), sheet),
                    dryRun,
                    run);
        }
    }

    /** What a file seems to hold; of a text its beginning is enough. */
    @PostMapping(value = "/measurements/import/columns")
    @Operation(
            requestBody =
                    @RequestBody(
                            content = {
                                @Content(mediaType = "text/csv", schema = @Schema(type = "string")),
                                @Content(mediaType = WORKBOOK, schema = @Schema(type = "string", format = "binary"))
                            }))
    Tables.TableView columns(@RequestParam(defaultValue = "") String sheet, HttpServletRequest request)
            throws IOException {
        return tables.look(request.getInputStream(), sheet);
    }

    /** Remembers how tables with these headings are read. */
    @PutMapping("/measurements/import/columns")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keep(@org.springframework.web.bind.annotation.RequestBody TableReading reading) {
        mappings.keep(reading);
    }

    /** How some rows would be read. */
    @PostMapping("/measurements/import/rows")
    List<Tables.RowRead> rows(@org.springframework.web.bind.annotation.RequestBody Tables.RowsRequest request) {
        return tables.rows(request);
    }

    private static String checkName(String field, String name) {
        return name.isEmpty() ? name : InvalidInputException.naming(field, () -> Text.name(field, name, LONGEST_NAME));
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
            throw new NotFoundException("no import of that name is under way");
        }
        run.cancel();
    }

    @ExceptionHandler
    @ResponseStatus(HttpStatus.CONFLICT)
    ProblemDetail cancelled(ImportCancelledException cancelled) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, cancelled.getMessage());
    }

    @GetMapping(value = "/measurements.csv", produces = "text/csv")
    void export(HttpServletResponse response) throws IOException {
        Writer out = new BufferedWriter(
                new OutputStreamWriter(
                        Attachment.of(response, "text/csv;charset=UTF-8", "measurements.csv"), StandardCharsets.UTF_8),
                1 << 16);
        exports.write(out);
        out.flush();
    }
}
