package syntoma.app.campsite;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Campsites, stays, and the standing line. */
@RestController
@RequestMapping("/api")
class CampsiteController {
    private final Campsites campsites;
    private final Visits visits;
    private final StandingService standing;

    CampsiteController(Campsites campsites, Visits visits, StandingService standing) {
        this.campsites = campsites;
        this.visits = visits;
        this.standing = standing;
    }

    /** What to change of the standing line; what is missing stays. */
    @Schema(name = "StandingRequest")
    record Change(@Nullable String campsite, @Nullable String setup, @Nullable String carrier) {}

    @GetMapping("/campsites")
    List<Place> campsites() {
        return campsites.all();
    }

    @GetMapping("/stays")
    List<Visit> stays() {
        return visits.all();
    }

    @GetMapping("/standing")
    StandingService.StandingLine standing() {
        return standing.line();
    }

    @PutMapping("/standing")
    StandingService.StandingLine change(@RequestBody Change change) {
        return standing.change(change.campsite(), change.setup(), change.carrier());
    }
}
