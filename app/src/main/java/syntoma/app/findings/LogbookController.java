package syntoma.app.findings;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The log as a place: stays as a list, on a map, in a calendar. */
@RestController
@RequestMapping("/api/logbook")
class LogbookController {
    private final LogbookService logbook;
    private final Turn turn;

    LogbookController(LogbookService logbook, Turn turn) {
        this.logbook = logbook;
        this.turn = turn;
    }

    /** The stays that fit filters, which combine; metric, baseline and of are not looked at. */
    @GetMapping
    LogbookView logbook(FindingsRequest request, LogbookService.LogbookRequest more) {
        return turn.of(() -> logbook.view(request, more));
    }
}
