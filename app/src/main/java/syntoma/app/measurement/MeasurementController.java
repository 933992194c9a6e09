package syntoma.app.measurement;

import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.springframework.http.HttpStatus;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import syntoma.app.campsite.Campsites;
import syntoma.app.platform.InvalidInputException;

/** Measurements: typed, listed, deleted and put back. */
@RestController
@RequestMapping("/api")
class MeasurementController {
    private static final int MOST_LISTED = 5_000;

    private final Measurements measurements;
    private final MeasurementLog log;
    private final MeasurementEdits edits;
    private final MeasurementForm form;
    private final Campsites campsites;
    private final Deliveries deliveries;

    MeasurementController(
            Measurements measurements,
            MeasurementLog log,
            MeasurementEdits edits,
            MeasurementForm form,
            Campsites campsites,
            Deliveries deliveries) {
        this.measurements = measurements;
        this.log = log;
        this.edits = edits;
        this.form = form;
        this.campsites = campsites;
        this.deliveries = deliveries;
    }

    /** The number of a change, by which it can be undone; null where nothing was changed. */
    record ChangeNumber(@Nullable Long change) {}

    @GetMapping("/measurements")
    List<LoggedMeasurement> measurements(
            @RequestParam(required = false) Long stay,
            @RequestParam(required = false) String campsite,
            @RequestParam(required = false) String trial,
            @RequestParam(defaultValue = "1000") int limit) {
        if (limit < 1 || limit > MOST_LISTED) {
            throw new InvalidInputException("limit", "limit is " + limit + "; allowed is 1 to " + MOST_LISTED);
        }
        Optional<Long> place =
                Optional.ofNullable(campsite).map(name -> campsites.of(name).id());
        return measurements.list(
                new Selection(place, Optional.ofNullable(stay), Optional.ofNullable(trial), List.of(), limit));
    }

    /** Stores a measurement; one that is sent again under the same key is stored once, and answered as at first. */
    @PostMapping("/measurements")
    @ResponseStatus(HttpStatus.CREATED)
    MeasurementLog.StoredEntry store(
            @RequestBody MeasurementForm.Request request,
            @RequestHeader(name = "Idempotency-Key", required = false) @Nullable String key) {
        Deliveries.DeliveryKey sent = Deliveries.DeliveryKey.of(key, request);
        OptionalLong before = sent == null ? OptionalLong.empty() : deliveries.storedMeasurement(sent);
        if (before.isPresent()) {
            return log.storedEntry(before.getAsLong());
        }
        MeasurementForm.Result read = form.read(request);
        return log.store(read.measurement().orElseThrow(() -> new InvalidInputException(read.problems())), sent);
    }

    @PostMapping("/measurements/check")
    MeasurementForm.Check check(@RequestBody MeasurementForm.Request request) {
        return form.check(request);
    }

    @GetMapping("/measurements/{id}")
    MeasurementEdits.EditView measurement(@PathVariable long id) {
        return edits.view(id);
    }

    /** Corrects a measurement; says under which number that can be undone. */
    @PutMapping("/measurements/{id}")
    ChangeNumber edit(
            @PathVariable long id,
            @RequestBody MeasurementForm.Request request,
            @RequestParam(required = false) Integer version) {
        return new ChangeNumber(edits.edit(id, request, version));
    }

    @DeleteMapping("/measurements/{id}")
    ChangeNumber delete(@PathVariable long id) {
        return new ChangeNumber(log.delete(id));
    }
}
