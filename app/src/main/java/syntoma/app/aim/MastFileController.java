package syntoma.app.aim;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import syntoma.app.platform.Attachment;
import syntoma.app.platform.GeoJson;

/** Masts as files. */
@RestController
@RequestMapping("/api/aim")
class MastFileController {
    private static final String CSV = "text/csv";
    private static final String GEOJSON = "application/geo+json";

    private final MastFiles masts;

    MastFileController(MastFiles masts) {
        this.masts = masts;
    }

    @GetMapping(value = "/masts.csv", produces = CSV)
    @ApiResponse(content = @Content(mediaType = CSV, schema = @Schema(type = "string")))
    void csv(HttpServletResponse response) throws IOException {
        masts.writeCsv(new OutputStreamWriter(
                Attachment.of(response, "text/csv;charset=UTF-8", "masts.csv"), StandardCharsets.UTF_8));
    }

    /** Takes a list of masts in: columns name, lat, lon, and carrier and cell_id where they are known. */
    @PostMapping("/masts.csv")
    @Operation(
            requestBody =
                    @RequestBody(
                            required = true,
                            content = @Content(mediaType = CSV, schema = @Schema(type = "string"))))
    MastFiles.MastsReport takeCsv(HttpServletRequest request) throws IOException {
        return masts.takeCsv(request.getInputStream().readAllBytes());
    }

    @GetMapping(value = "/masts.geojson", produces = GEOJSON)
    @ApiResponse(content = @Content(mediaType = GEOJSON, schema = @Schema(type = "string")))
    void geojson(HttpServletResponse response) throws IOException {
        GeoJson.write(masts.features(), Attachment.of(response, GEOJSON, "masts.geojson"));
    }

    /** Takes points with the properties name, carrier and cellId in. */
    @PostMapping("/masts.geojson")
    @Operation(
            requestBody =
                    @RequestBody(
                            required = true,
                            content = @Content(mediaType = GEOJSON, schema = @Schema(type = "string"))))
    MastFiles.MastsReport takeGeojson(HttpServletRequest request) throws IOException {
        return masts.takeGeoJson(request.getInputStream().readAllBytes());
    }
}
