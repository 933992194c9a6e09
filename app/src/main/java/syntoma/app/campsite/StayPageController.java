package syntoma.app.campsite;

import java.time.Duration;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import syntoma.app.photo.Photos;

/** The private page of a stay. */
@RestController
@RequestMapping("/api/stays/{id}")
class StayPageController {
    private final StayPages pages;
    private final Photos photos;

    StayPageController(StayPages pages, Photos photos) {
        this.pages = pages;
        this.photos = photos;
    }

    @GetMapping("/page")
    StayPages.StayPageView page(@PathVariable long id) {
        return pages.of(id);
    }

    @PutMapping("/note")
    StayPages.StayPageView write(
            @PathVariable long id,
            @RequestParam(required = false) @Nullable Integer version,
            @RequestBody StayPages.NoteRequest asked) {
        return pages.write(id, asked, version);
    }

    /** Adds a photo: JPEG, PNG or WebP of up to 25 MB; it is kept smaller, and without where it was taken. */
    @PostMapping(path = "/photos", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    StayPages.StayPhotoView photo(@PathVariable long id, @RequestBody byte[] photo) {
        pages.of(id);
        return pages.add(id, photos.keep(photo));
    }

    /** A photo. */
    @GetMapping(path = "/photos/{photo}", produces = MediaType.IMAGE_JPEG_VALUE)
    ResponseEntity<byte[]> photo(@PathVariable long id, @PathVariable long photo) {
        return ResponseEntity.ok()
                .cacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable())
                .body(pages.read(id, photo));
    }

    @PutMapping("/photos/{photo}/caption")
    StayPages.StayPhotoView caption(
            @PathVariable long id, @PathVariable long photo, @RequestBody StayPages.CaptionRequest asked) {
        return pages.caption(id, photo, asked);
    }

    @DeleteMapping("/photos/{photo}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable long id, @PathVariable long photo) {
        pages.remove(id, photo, true);
    }

    @PostMapping("/photos/{photo}/restored")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void restore(@PathVariable long id, @PathVariable long photo) {
        pages.remove(id, photo, false);
    }
}
