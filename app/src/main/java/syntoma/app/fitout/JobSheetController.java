package syntoma.app.fitout;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import syntoma.app.photo.Photos;

/** Job sheets of roof plans. Days and times are by the clock where it is built. */
@RestController
@RequestMapping("/api/fitout/plans/{id}/job-sheet")
class JobSheetController {
    private final JobSheets sheets;
    private final JobSteps steps;
    private final JobPhotos photos;
    private final JobCalendar calendar;
    private final Photos files;

    JobSheetController(JobSheets sheets, JobSteps steps, JobPhotos photos, JobCalendar calendar, Photos files) {
        this.files = files;
        this.sheets = sheets;
        this.steps = steps;
        this.photos = photos;
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
    void enter(@PathVariable long id, @RequestBody JobSteps.JobRequest asked) {
        steps.enter(id, asked);
    }

    /** Adds a photo to a task: JPEG, PNG or WebP of up to 25 MB; it is kept smaller, and without where it was taken. */
    @PostMapping(path = "/photos", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    JobPhotos.JobPhotoView photo(
            @PathVariable long id, @RequestParam @Nullable String task, @RequestBody byte[] photo) {
        photos.requireTask(id, task);
        return photos.add(id, task, files.keep(photo));
    }

    /** A photo. */
    @GetMapping(path = "/photos/{photo}", produces = MediaType.IMAGE_JPEG_VALUE)
    ResponseEntity<byte[]> photo(@PathVariable long id, @PathVariable long photo) {
        return ResponseEntity.ok()
                .cacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable())
                .body(photos.read(id, photo));
    }

    @DeleteMapping("/photos/{photo}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removePhoto(@PathVariable long id, @PathVariable long photo) {
        photos.remove(id, photo);
    }

    /** Brings back a photo that was deleted. */
    @PostMapping("/photos/{photo}/restored")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void restorePhoto(@PathVariable long id, @PathVariable long photo) {
        photos.restore(id, photo);
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
