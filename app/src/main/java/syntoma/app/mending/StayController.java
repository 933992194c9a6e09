package syntoma.app.mending;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Stays put right: their dates, split in two, measurements moved from one to another. */
@RestController
@RequestMapping("/api")
class StayController {
    private final StayMending mending;

    StayController(StayMending mending) {
        this.mending = mending;
    }

    /** When a stay began and ended. @param leftAt null while the vehicle is there */
    @Schema(name = "StayDatesRequest")
    record DatesRequest(OffsetDateTime arrivedAt, @Nullable OffsetDateTime leftAt) {}

    /** Where a stay is split. @param campsite where the later part was; null for the same */
    @Schema(name = "SplitRequest")
    record SplitRequest(OffsetDateTime at, @Nullable String campsite) {}

    /** Measurements that belong to another stay. */
    @Schema(name = "MoveRequest")
    record MoveRequest(List<Long> measurements, long stay) {}

    @PutMapping("/stays/{id}")
    StayMending.MendOutcome dates(
            @PathVariable long id, @RequestBody DatesRequest request, @RequestParam(required = false) Integer version) {
        return mending.dates(id, request.arrivedAt(), request.leftAt(), version);
    }

    @PostMapping("/stays/{id}/split")
    StayMending.MendOutcome split(@PathVariable long id, @RequestBody SplitRequest request) {
        return mending.split(id, request.at(), request.campsite());
    }

    @PostMapping("/measurements/move")
    StayMending.MendOutcome move(@RequestBody MoveRequest request) {
        return mending.move(request.measurements(), request.stay());
    }
}
