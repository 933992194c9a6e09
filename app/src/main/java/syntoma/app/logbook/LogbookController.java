package syntoma.app.logbook;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Stays, the names in the log, and the standing line. */
@RestController
@RequestMapping("/api")
class LogbookController {
    private final Logbook logbook;
    private final StandingService standing;

    LogbookController(Logbook logbook, StandingService standing) {
        this.logbook = logbook;
        this.standing = standing;
    }

    /** What to change of the standing line; what is missing stays. */
    @Schema(name = "StandingRequest")
    record Change(String campsite, String setup, String carrier) {}

    @GetMapping("/stays")
    List<Logbook.Visit> stays() {
        return logbook.visits();
    }

    @GetMapping("/campsites")
    List<Logbook.Place> campsites() {
        return logbook.campsites();
    }

    @GetMapping("/setups")
    List<Logbook.SetupName> setups() {
        return logbook.setups();
    }

    @GetMapping("/carriers")
    List<Logbook.CarrierName> carriers() {
        return logbook.carriers();
    }

    @GetMapping("/standing")
    StandingService.StandingLine standing() {
        return standing.line();
    }

    @PutMapping("/standing")
    StandingService.StandingLine change(@RequestBody Change change) {
        return standing.change(change.campsite(), change.setup(), change.carrier(), logbook.now());
    }
}
