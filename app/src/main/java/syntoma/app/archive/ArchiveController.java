package syntoma.app.archive;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import syntoma.app.platform.Attachment;

/** Everything as one file, out and in. */
@RestController
@RequestMapping("/api/archive")
class ArchiveController {
    private static final String ZIP = "application/zip";

    private final ArchiveService archive;

    ArchiveController(ArchiveService archive) {
        this.archive = archive;
    }

    /** Everything but secrets: the log with its history, the rig, photos. */
    @GetMapping(produces = ZIP)
    @ApiResponse(content = @Content(mediaType = ZIP, schema = @Schema(type = "string", format = "binary")))
    void archive(HttpServletResponse response) throws IOException {
        OutputStream out = new BufferedOutputStream(Attachment.of(response, ZIP, "syntoma-archive.zip"), 1 << 16);
        archive.write(out);
        out.flush();
    }

    /** Takes an archive into an empty Syntoma; with {@code replace}, in place of the existing data. */
    @PostMapping
    @Operation(
            requestBody =
                    @RequestBody(
                            required = true,
                            content = @Content(mediaType = ZIP, schema = @Schema(type = "string", format = "binary"))))
    ArchiveService.RestoredView restore(
            @RequestParam(defaultValue = "false") boolean replace, HttpServletRequest request)
            throws IOException, InterruptedException {
        return archive.takeIn(request.getInputStream(), replace);
    }
}
