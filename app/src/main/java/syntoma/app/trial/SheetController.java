package syntoma.app.trial;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Run sheets of designed trials. */
@RestController
@RequestMapping("/api/trials")
class SheetController {
    private final Sheets sheets;
    private final TrialCalendar calendar;

    SheetController(Sheets sheets, TrialCalendar calendar) {
        this.sheets = sheets;
        this.calendar = calendar;
    }

    /** The designed trials that are not made yet, the latest first. */
    @GetMapping("/sheets")
    List<Sheets.SheetRow> sheets() {
        return sheets.open();
    }

    /** How far a designed trial is, and what comes next. */
    @GetMapping("/sheet")
    SheetView sheet(@RequestParam String campsite, @RequestParam String trial) {
        return sheets.of(campsite, trial);
    }

    /** A mark that changes when the sheet does; cheap, for those who look all the time. */
    @GetMapping("/sheet/mark")
    Sheets.SheetMark mark(@RequestParam String campsite, @RequestParam String trial) {
        return sheets.mark(campsite, trial);
    }

    /** Whether what the router says agrees with what is to be measured next. */
    @GetMapping("/sheet/check")
    Sheets.SheetCheck check(@RequestParam String campsite, @RequestParam String trial) {
        return sheets.check(campsite, trial);
    }

    /** Says that a visit stands or does not, is left out or made after all; notes, pauses, goes on, keeps what was in doubt. */
    @PostMapping("/sheet/entries")
    SheetView enter(@RequestBody Sheets.EntryRequest asked) {
        return sheets.enter(asked);
    }

    /** The times at which the rounds of a trial are made, for a calendar. */
    @GetMapping(path = "/calendar", produces = "text/calendar")
    ResponseEntity<String> calendar(@RequestParam String campsite, @RequestParam String trial) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"trial.ics\"")
                .contentType(new MediaType("text", "calendar", StandardCharsets.UTF_8))
                .body(calendar.of(campsite, trial));
    }
}
