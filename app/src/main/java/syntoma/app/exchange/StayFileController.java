package syntoma.app.exchange;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import syntoma.app.platform.Attachment;

/** Stays as files of places. */
@RestController
@RequestMapping("/api")
class StayFileController {
    private static final String GPX = "application/gpx+xml";
    private static final String GEOJSON = "application/geo+json";

    private final StayFiles stays;

    StayFileController(StayFiles stays) {
        this.stays = stays;
    }

    /** Stays as waypoints of GPX 1.1; those whose campsite has no coordinates are left out and counted. */
    @GetMapping(value = "/export.gpx", produces = GPX)
    @ApiResponse(content = @Content(mediaType = GPX, schema = @Schema(type = "string")))
    void gpx(HttpServletResponse response) throws IOException {
        GpxFile.write(stays.all(), Attachment.of(response, GPX, "stays.gpx"));
    }

    /** Waypoints as stays; one without a time is a campsite. */
    @PostMapping("/export.gpx")
    @Operation(
            requestBody =
                    @RequestBody(
                            required = true,
                            content = @Content(mediaType = GPX, schema = @Schema(type = "string"))))
    StayFiles.PlacesReport takeGpx(HttpServletRequest request) throws IOException {
        return stays.takeIn(GpxFile.read(request.getInputStream().readAllBytes()));
    }

    /** Stays as features of GeoJSON. */
    @GetMapping(value = "/export.geojson", produces = GEOJSON)
    @ApiResponse(content = @Content(mediaType = GEOJSON, schema = @Schema(type = "string")))
    void geojson(HttpServletResponse response) throws IOException {
        GeoJsonFile.write(stays.all(), Attachment.of(response, GEOJSON, "stays.geojson"));
    }

    /** Features as stays; one without a time is a campsite. */
    @PostMapping("/export.geojson")
    @Operation(
            requestBody =
                    @RequestBody(
                            required = true,
                            content = @Content(mediaType = GEOJSON, schema = @Schema(type = "string"))))
    StayFiles.PlacesReport takeGeojson(HttpServletRequest request) throws IOException {
        return stays.takeIn(GeoJsonFile.read(request.getInputStream().readAllBytes()));
    }
}
