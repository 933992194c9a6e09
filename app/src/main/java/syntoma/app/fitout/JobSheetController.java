package syntoma.app.fitout;

import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Job sheets of roof plans. Days and times are by the clock where it is built. */
@RestController
@RequestMapping("/api/fitout/plans/{id}/job-sheet")
class JobSheetController {
    private final JobSheets sheets;
    private final JobCalendar calendar;

    JobSheetController(JobSheets sheets, JobCalendar calendar) {
        this.sheets = sheets;
        this.calendar = calendar;
    }

    @GetMapping
    JobSheetView sheet(
            @PathVariable long id,
            @RequestParam(required = false) @Nullable String start,
            @RequestParam(required = false) @Nullable Integer days,
            @RequestParam(required = false) @Nullable String from,
            @RequestParam(required = false) @Nullable String until,
            @RequestParam(required = false) @Nullable Integer people) {
        return sheets.of(id, new JobSheets.JobHours(start, days, from, until, people));
    }

    /** Enters what was done of a task. */
    @PostMapping("/steps")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void enter(@PathVariable long id, @RequestBody JobSheets.JobRequest asked) {
        sheets.enter(id, asked);
    }

    /** The tasks at their times, for a calendar. */
    @GetMapping(path = "/calendar", produces = "text/calendar")
    ResponseEntity<String> calendar(
            @PathVariable long id,
            @RequestParam(required = false) @Nullable String start,
            @RequestParam(required = false) @Nullable Integer days,
            @RequestParam(required = false) @Nullable String from,
            @RequestParam(required = false) @Nullable String until,
            @RequestParam(required = false) @Nullable Integer people) {
        JobSheetView sheet = sheets.of(id, new JobSheets.JobHours(start, days, from, until, people));
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"job-sheet.ics\"")
                .contentType(new MediaType("text", "calendar", StandardCharsets.UTF_8))
                .body(calendar.of(sheet));
    }
}
